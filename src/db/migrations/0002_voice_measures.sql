CREATE TABLE "voice_measures" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"studio_id" uuid NOT NULL,
	"syllables_per_minute" real NOT NULL,
	"pause_seconds" real,
	"how" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "voice_measures" ADD CONSTRAINT "voice_measures_studio_id_studios_id_fk" FOREIGN KEY ("studio_id") REFERENCES "public"."studios"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "voice_measures_of_studio" ON "voice_measures" USING btree ("studio_id","created_at");