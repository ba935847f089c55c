CREATE TABLE "blind_sheets" (
	"test_id" uuid NOT NULL,
	"maker_id" uuid NOT NULL,
	"tester" integer NOT NULL,
	"codes" text[] NOT NULL,
	"cups" text[] NOT NULL,
	"chosen" text,
	"note" text DEFAULT '' NOT NULL,
	CONSTRAINT "blind_sheets_pkey" PRIMARY KEY("test_id","tester"),
	CONSTRAINT "blind_sheets_tester" CHECK ("blind_sheets"."tester" between 1 and 60),
	CONSTRAINT "blind_sheets_cups" CHECK (cardinality("blind_sheets"."codes") = cardinality("blind_sheets"."cups") and "blind_sheets"."cups" <@ array['A', 'B']),
	CONSTRAINT "blind_sheets_chosen" CHECK ("blind_sheets"."chosen" = any ("blind_sheets"."codes")),
	CONSTRAINT "blind_sheets_note_length" CHECK (char_length("blind_sheets"."note") <= 200)
);
--> statement-breakpoint
CREATE TABLE "blind_tests" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"first_batch_id" uuid NOT NULL,
	"second_batch_id" uuid NOT NULL,
	"question" text NOT NULL,
	"begun_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "blind_tests_id_maker" UNIQUE("id","maker_id"),
	CONSTRAINT "blind_tests_two" CHECK ("blind_tests"."first_batch_id" <> "blind_tests"."second_batch_id"),
	CONSTRAINT "blind_tests_kind" CHECK ("blind_tests"."kind" in ('triangle', 'paired')),
	CONSTRAINT "blind_tests_question_length" CHECK (char_length("blind_tests"."question") between 1 and 120)
);
--> statement-breakpoint
ALTER TABLE "blind_sheets" ADD CONSTRAINT "blind_sheets_test" FOREIGN KEY ("test_id","maker_id") REFERENCES "public"."blind_tests"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "blind_tests" ADD CONSTRAINT "blind_tests_first" FOREIGN KEY ("first_batch_id","maker_id") REFERENCES "public"."batches"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "blind_tests" ADD CONSTRAINT "blind_tests_second" FOREIGN KEY ("second_batch_id","maker_id") REFERENCES "public"."batches"("id","maker_id") ON DELETE cascade ON UPDATE no action;