CREATE TABLE "live_dates" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"studio_id" uuid NOT NULL,
	"class_id" uuid NOT NULL,
	"starts_at" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone DEFAULT clock_timestamp() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "movement_media" (
	"movement_id" uuid PRIMARY KEY NOT NULL,
	"studio_id" uuid NOT NULL,
	"content_type" text NOT NULL,
	"storage_key" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT clock_timestamp() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "stored_files" (
	"key" uuid PRIMARY KEY NOT NULL,
	"studio_id" uuid NOT NULL,
	"bytes" "bytea" NOT NULL,
	"created_at" timestamp with time zone DEFAULT clock_timestamp() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "class_revisions" ADD COLUMN "name" text;--> statement-breakpoint
ALTER TABLE "classes" ADD COLUMN "about" text;--> statement-breakpoint
ALTER TABLE "classes" ADD COLUMN "shape" text;--> statement-breakpoint
ALTER TABLE "classes" ADD COLUMN "tags" text[] DEFAULT '{}'::text[] NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "glance" jsonb;--> statement-breakpoint
ALTER TABLE "live_dates" ADD CONSTRAINT "live_dates_studio_id_studios_id_fk" FOREIGN KEY ("studio_id") REFERENCES "public"."studios"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "live_dates" ADD CONSTRAINT "live_dates_class_id_classes_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classes"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "movement_media" ADD CONSTRAINT "movement_media_movement_id_movements_id_fk" FOREIGN KEY ("movement_id") REFERENCES "public"."movements"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "movement_media" ADD CONSTRAINT "movement_media_studio_id_studios_id_fk" FOREIGN KEY ("studio_id") REFERENCES "public"."studios"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stored_files" ADD CONSTRAINT "stored_files_studio_id_studios_id_fk" FOREIGN KEY ("studio_id") REFERENCES "public"."studios"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "live_dates_of_class" ON "live_dates" USING btree ("class_id","starts_at");