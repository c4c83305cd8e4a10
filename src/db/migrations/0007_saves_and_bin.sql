ALTER TABLE "class_revisions" ALTER COLUMN "created_at" SET DEFAULT clock_timestamp();--> statement-breakpoint
ALTER TABLE "classes" ALTER COLUMN "created_at" SET DEFAULT clock_timestamp();--> statement-breakpoint
ALTER TABLE "classes" ALTER COLUMN "updated_at" SET DEFAULT clock_timestamp();--> statement-breakpoint
ALTER TABLE "movements" ALTER COLUMN "created_at" SET DEFAULT clock_timestamp();--> statement-breakpoint
ALTER TABLE "movements" ALTER COLUMN "updated_at" SET DEFAULT clock_timestamp();--> statement-breakpoint
ALTER TABLE "readings" ALTER COLUMN "updated_at" SET DEFAULT clock_timestamp();--> statement-breakpoint
ALTER TABLE "series" ALTER COLUMN "created_at" SET DEFAULT clock_timestamp();--> statement-breakpoint
ALTER TABLE "sounds" ALTER COLUMN "created_at" SET DEFAULT clock_timestamp();--> statement-breakpoint
ALTER TABLE "studios" ALTER COLUMN "created_at" SET DEFAULT clock_timestamp();--> statement-breakpoint
ALTER TABLE "takes" ALTER COLUMN "created_at" SET DEFAULT clock_timestamp();--> statement-breakpoint
ALTER TABLE "voice_measures" ALTER COLUMN "created_at" SET DEFAULT clock_timestamp();--> statement-breakpoint
ALTER TABLE "class_revisions" ADD COLUMN "save_id" uuid;--> statement-breakpoint
ALTER TABLE "classes" ADD COLUMN "last_save_id" uuid;--> statement-breakpoint
ALTER TABLE "movements" ADD COLUMN "last_save_id" uuid;--> statement-breakpoint
ALTER TABLE "movements" ADD COLUMN "removed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "last_save_id" uuid;--> statement-breakpoint
ALTER TABLE "series" ADD COLUMN "revision" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "series" ADD COLUMN "last_save_id" uuid;--> statement-breakpoint
ALTER TABLE "studios" ADD COLUMN "spelling_revision" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "studios" ADD COLUMN "spelling_save_id" uuid;--> statement-breakpoint
CREATE UNIQUE INDEX "class_revisions_of_save" ON "class_revisions" USING btree ("class_id","save_id");