CREATE TABLE "checks" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"batch_id" uuid NOT NULL,
	"storage" text NOT NULL,
	"planned_id" uuid,
	"looked_at" timestamp with time zone NOT NULL,
	"ph" numeric,
	"viscosity" numeric,
	"said" text DEFAULT '' NOT NULL,
	"clarity" text DEFAULT '' NOT NULL,
	"colour" text DEFAULT '' NOT NULL,
	"smell" text DEFAULT '' NOT NULL,
	"sediment_mm" numeric,
	"signs" text[] DEFAULT '{}' NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"stored_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "checks_one_of_a_plan" UNIQUE("planned_id"),
	CONSTRAINT "checks_storage" CHECK ("checks"."storage" in ('room', 'warm', 'cold', 'freeze-thaw', 'light')),
	CONSTRAINT "checks_ph" CHECK ("checks"."ph" between 0 and 14),
	CONSTRAINT "checks_viscosity" CHECK ("checks"."viscosity" > 0 and "checks"."viscosity" <= 100000),
	CONSTRAINT "checks_clarity" CHECK ("checks"."clarity" in ('', 'clear', 'slightly hazy', 'hazy', 'opaque')),
	CONSTRAINT "checks_sediment" CHECK ("checks"."sediment_mm" >= 0 and "checks"."sediment_mm" <= 1000),
	CONSTRAINT "checks_signs" CHECK ("checks"."signs" <@ array['mould', 'odd smell', 'swelling']),
	CONSTRAINT "checks_lengths" CHECK (char_length("checks"."said") <= 120 and char_length("checks"."colour") <= 60 and char_length("checks"."smell") <= 60 and char_length("checks"."note") <= 500)
);
--> statement-breakpoint
CREATE TABLE "planned_checks" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"batch_id" uuid NOT NULL,
	"storage" text NOT NULL,
	"title" text NOT NULL,
	"due_on" date NOT NULL,
	"skipped_because" text DEFAULT '' NOT NULL,
	CONSTRAINT "planned_checks_id_maker" UNIQUE("id","maker_id"),
	CONSTRAINT "planned_checks_of" UNIQUE("batch_id","storage","title"),
	CONSTRAINT "planned_checks_storage" CHECK ("planned_checks"."storage" in ('room', 'warm', 'cold', 'freeze-thaw', 'light')),
	CONSTRAINT "planned_checks_lengths" CHECK (char_length("planned_checks"."title") between 1 and 80 and char_length("planned_checks"."skipped_because") <= 200)
);
--> statement-breakpoint
ALTER TABLE "checks" ADD CONSTRAINT "checks_batch" FOREIGN KEY ("batch_id","maker_id") REFERENCES "public"."batches"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "checks" ADD CONSTRAINT "checks_planned" FOREIGN KEY ("planned_id","maker_id") REFERENCES "public"."planned_checks"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_checks" ADD CONSTRAINT "planned_checks_batch" FOREIGN KEY ("batch_id","maker_id") REFERENCES "public"."batches"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "checks_batch_looked" ON "checks" USING btree ("batch_id","looked_at");--> statement-breakpoint
CREATE INDEX "planned_checks_due" ON "planned_checks" USING btree ("maker_id","due_on");