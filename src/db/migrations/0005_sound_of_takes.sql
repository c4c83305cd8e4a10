CREATE TABLE "sound_pieces" (
	"studio_id" uuid NOT NULL,
	"sound_id" uuid NOT NULL,
	"piece" integer NOT NULL,
	"bytes" "bytea" NOT NULL,
	CONSTRAINT "sound_pieces_studio_id_sound_id_piece_pk" PRIMARY KEY("studio_id","sound_id","piece")
);
--> statement-breakpoint
CREATE TABLE "sounds" (
	"studio_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "sounds_studio_id_id_pk" PRIMARY KEY("studio_id","id")
);
--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "remarks" jsonb;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "recording" jsonb;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "sound_id" uuid;--> statement-breakpoint
ALTER TABLE "takes" ADD COLUMN "envelope" "bytea";--> statement-breakpoint
ALTER TABLE "sound_pieces" ADD CONSTRAINT "sound_pieces_studio_id_sound_id_sounds_studio_id_id_fk" FOREIGN KEY ("studio_id","sound_id") REFERENCES "public"."sounds"("studio_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sounds" ADD CONSTRAINT "sounds_studio_id_studios_id_fk" FOREIGN KEY ("studio_id") REFERENCES "public"."studios"("id") ON DELETE cascade ON UPDATE no action;