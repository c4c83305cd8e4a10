CREATE TABLE "live_events" (
	"studio_id" uuid NOT NULL,
	"live_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"event_id" uuid NOT NULL,
	"event" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT clock_timestamp() NOT NULL,
	CONSTRAINT "live_events_live_id_number_pk" PRIMARY KEY("live_id","number")
);
--> statement-breakpoint
CREATE TABLE "lives" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"studio_id" uuid NOT NULL,
	"class_id" uuid NOT NULL,
	"code" text NOT NULL,
	"remote_code" text NOT NULL,
	"leader" uuid NOT NULL,
	"shown" jsonb NOT NULL,
	"standing" jsonb,
	"last_number" integer DEFAULT 0 NOT NULL,
	"created_at" timestamp with time zone DEFAULT clock_timestamp() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"revoked_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "live_events" ADD CONSTRAINT "live_events_studio_id_studios_id_fk" FOREIGN KEY ("studio_id") REFERENCES "public"."studios"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "live_events" ADD CONSTRAINT "live_events_live_id_lives_id_fk" FOREIGN KEY ("live_id") REFERENCES "public"."lives"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lives" ADD CONSTRAINT "lives_studio_id_studios_id_fk" FOREIGN KEY ("studio_id") REFERENCES "public"."studios"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lives" ADD CONSTRAINT "lives_class_id_classes_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classes"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "live_events_once" ON "live_events" USING btree ("live_id","event_id");--> statement-breakpoint
CREATE UNIQUE INDEX "lives_by_code" ON "lives" USING btree ("code");--> statement-breakpoint
CREATE UNIQUE INDEX "lives_by_remote_code" ON "lives" USING btree ("remote_code");--> statement-breakpoint
CREATE INDEX "lives_of_class" ON "lives" USING btree ("studio_id","class_id","created_at");