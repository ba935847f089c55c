CREATE TABLE "answered_alarms" (
	"batch_id" uuid NOT NULL,
	"maker_id" uuid NOT NULL,
	"what" text NOT NULL,
	"because" text NOT NULL,
	"answered_at" timestamp with time zone NOT NULL,
	"looked_at" timestamp with time zone NOT NULL,
	CONSTRAINT "answered_alarms_pkey" PRIMARY KEY("batch_id","what"),
	CONSTRAINT "answered_alarms_what" CHECK ("answered_alarms"."what" in ('ph', 'viscosity', 'colour', 'sediment', 'spoiled')),
	CONSTRAINT "answered_alarms_because" CHECK (char_length("answered_alarms"."because") between 1 and 200)
);
--> statement-breakpoint
ALTER TABLE "answered_alarms" ADD CONSTRAINT "answered_alarms_batch" FOREIGN KEY ("batch_id","maker_id") REFERENCES "public"."batches"("id","maker_id") ON DELETE cascade ON UPDATE no action;