CREATE TABLE "sessions" (
	"place" text PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"begun_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "sessions_place_length" CHECK (char_length("sessions"."place") between 1 and 80)
);
--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;