CREATE TABLE "practice_runs" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"version_id" uuid NOT NULL,
	"seed" text NOT NULL,
	"points" integer NOT NULL,
	"doses" integer NOT NULL,
	"minutes" numeric NOT NULL,
	"ended_at" timestamp with time zone NOT NULL,
	CONSTRAINT "practice_runs_seed_length" CHECK (char_length("practice_runs"."seed") between 1 and 80),
	CONSTRAINT "practice_runs_points" CHECK ("practice_runs"."points" between 0 and 100),
	CONSTRAINT "practice_runs_doses" CHECK ("practice_runs"."doses" between 0 and 500),
	CONSTRAINT "practice_runs_minutes" CHECK ("practice_runs"."minutes" >= 0)
);
--> statement-breakpoint
ALTER TABLE "practice_runs" ADD CONSTRAINT "practice_runs_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "practice_runs" ADD CONSTRAINT "practice_runs_version" FOREIGN KEY ("version_id","maker_id") REFERENCES "public"."versions"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "practice_runs_version_ended" ON "practice_runs" USING btree ("maker_id","version_id","ended_at");