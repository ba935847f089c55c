CREATE TABLE "lather_tests" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"batch_id" uuid NOT NULL,
	"tested_at" timestamp with time zone NOT NULL,
	"at_once_mm" numeric NOT NULL,
	"after_one_minute_mm" numeric NOT NULL,
	"after_five_minutes_mm" numeric NOT NULL,
	"bubbles" text NOT NULL,
	"slip" integer,
	"rinse" integer,
	"after_feel" integer,
	"note" text DEFAULT '' NOT NULL,
	CONSTRAINT "lather_tests_falls" CHECK ("lather_tests"."after_five_minutes_mm" >= 0 and "lather_tests"."after_one_minute_mm" >= "lather_tests"."after_five_minutes_mm" and "lather_tests"."at_once_mm" >= "lather_tests"."after_one_minute_mm" and "lather_tests"."at_once_mm" <= 1000),
	CONSTRAINT "lather_tests_bubbles" CHECK ("lather_tests"."bubbles" in ('creamy', 'fine', 'medium', 'coarse')),
	CONSTRAINT "lather_tests_feel" CHECK ("lather_tests"."slip" between 1 and 5 and "lather_tests"."rinse" between 1 and 5 and "lather_tests"."after_feel" between 1 and 5),
	CONSTRAINT "lather_tests_note_length" CHECK (char_length("lather_tests"."note") <= 300)
);
--> statement-breakpoint
ALTER TABLE "lather_tests" ADD CONSTRAINT "lather_tests_batch" FOREIGN KEY ("batch_id","maker_id") REFERENCES "public"."batches"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "lather_tests_batch_tested" ON "lather_tests" USING btree ("batch_id","tested_at");