CREATE TABLE "check_photos" (
	"check_id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"picture" "bytea" NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	CONSTRAINT "check_photos_size" CHECK (octet_length("check_photos"."picture") between 1 and 5242880),
	CONSTRAINT "check_photos_sides" CHECK ("check_photos"."width" between 1 and 10000 and "check_photos"."height" between 1 and 10000)
);
--> statement-breakpoint
CREATE TABLE "patch_tests" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"batch_id" uuid NOT NULL,
	"tester" integer NOT NULL,
	"put_on_at" timestamp with time zone NOT NULL,
	"looked_at" timestamp with time zone,
	"seen" text,
	"note" text DEFAULT '' NOT NULL,
	CONSTRAINT "patch_tests_tester" CHECK ("patch_tests"."tester" between 1 and 999),
	CONSTRAINT "patch_tests_seen" CHECK ("patch_tests"."seen" in ('nothing', 'slightly red', 'red, itching or swollen')),
	CONSTRAINT "patch_tests_judged" CHECK (("patch_tests"."seen" is null) = ("patch_tests"."looked_at" is null) and "patch_tests"."looked_at" >= "patch_tests"."put_on_at"),
	CONSTRAINT "patch_tests_note_length" CHECK (char_length("patch_tests"."note") <= 300)
);
--> statement-breakpoint
ALTER TABLE "blind_tests" DROP CONSTRAINT "blind_tests_kind";--> statement-breakpoint
ALTER TABLE "lather_tests" DROP CONSTRAINT "lather_tests_feel";--> statement-breakpoint
ALTER TABLE "lather_tests" ALTER COLUMN "at_once_mm" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "lather_tests" ALTER COLUMN "after_one_minute_mm" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "lather_tests" ALTER COLUMN "after_five_minutes_mm" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "blind_sheets" ADD COLUMN "ratings" integer[];--> statement-breakpoint
ALTER TABLE "checks" ADD COLUMN "lab_l" numeric;--> statement-breakpoint
ALTER TABLE "checks" ADD COLUMN "lab_a" numeric;--> statement-breakpoint
ALTER TABLE "checks" ADD COLUMN "lab_b" numeric;--> statement-breakpoint
ALTER TABLE "checks" ADD COLUMN "haze_percent" numeric;--> statement-breakpoint
ALTER TABLE "lather_tests" ADD COLUMN "way" text DEFAULT 'shake' NOT NULL;--> statement-breakpoint
ALTER TABLE "lather_tests" ADD COLUMN "lather_seconds" numeric;--> statement-breakpoint
ALTER TABLE "lather_tests" ADD COLUMN "rinse_seconds" numeric;--> statement-breakpoint
ALTER TABLE "lather_tests" ADD COLUMN "foam_grams" numeric;--> statement-breakpoint
ALTER TABLE "lather_tests" ADD COLUMN "foam_millilitres" numeric;--> statement-breakpoint
ALTER TABLE "lather_tests" ADD COLUMN "scent" integer;--> statement-breakpoint
ALTER TABLE "checks" ADD CONSTRAINT "checks_id_maker" UNIQUE("id","maker_id");--> statement-breakpoint
ALTER TABLE "check_photos" ADD CONSTRAINT "check_photos_check" FOREIGN KEY ("check_id","maker_id") REFERENCES "public"."checks"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "patch_tests" ADD CONSTRAINT "patch_tests_batch" FOREIGN KEY ("batch_id","maker_id") REFERENCES "public"."batches"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "patch_tests_batch" ON "patch_tests" USING btree ("batch_id","put_on_at");--> statement-breakpoint
ALTER TABLE "blind_sheets" ADD CONSTRAINT "blind_sheets_ratings" CHECK (cardinality("blind_sheets"."ratings") = cardinality("blind_sheets"."cups") and "blind_sheets"."ratings" <@ array[1, 2, 3, 4, 5] and array_position("blind_sheets"."ratings", null::integer) is null);--> statement-breakpoint
ALTER TABLE "blind_tests" ADD CONSTRAINT "blind_tests_kind" CHECK ("blind_tests"."kind" in ('triangle', 'paired', 'rated'));--> statement-breakpoint
ALTER TABLE "checks" ADD CONSTRAINT "checks_lab_whole" CHECK (num_nonnulls("checks"."lab_l", "checks"."lab_a", "checks"."lab_b") in (0, 3));--> statement-breakpoint
ALTER TABLE "checks" ADD CONSTRAINT "checks_lab" CHECK ("checks"."lab_l" between 0 and 110 and "checks"."lab_a" between -150 and 150 and "checks"."lab_b" between -150 and 150);--> statement-breakpoint
ALTER TABLE "checks" ADD CONSTRAINT "checks_haze" CHECK ("checks"."haze_percent" between 0 and 100);--> statement-breakpoint
ALTER TABLE "lather_tests" ADD CONSTRAINT "lather_tests_way" CHECK ("lather_tests"."way" in ('shake', 'hand', 'loofah', 'hair', 'pump', 'whipped'));--> statement-breakpoint
ALTER TABLE "lather_tests" ADD CONSTRAINT "lather_tests_heights" CHECK (num_nonnulls("lather_tests"."at_once_mm", "lather_tests"."after_one_minute_mm", "lather_tests"."after_five_minutes_mm") = case when "lather_tests"."way" = 'shake' then 3 else 0 end);--> statement-breakpoint
ALTER TABLE "lather_tests" ADD CONSTRAINT "lather_tests_foam" CHECK (num_nonnulls("lather_tests"."foam_grams", "lather_tests"."foam_millilitres") = case when "lather_tests"."way" in ('pump', 'whipped') then 2 else 0 end and "lather_tests"."foam_grams" > 0 and "lather_tests"."foam_millilitres" > 0 and "lather_tests"."foam_millilitres" <= 10000 and "lather_tests"."foam_grams" <= 20000);--> statement-breakpoint
ALTER TABLE "lather_tests" ADD CONSTRAINT "lather_tests_seconds" CHECK ("lather_tests"."lather_seconds" > 0 and "lather_tests"."lather_seconds" <= 3600 and "lather_tests"."rinse_seconds" > 0 and "lather_tests"."rinse_seconds" <= 3600);--> statement-breakpoint
ALTER TABLE "lather_tests" ADD CONSTRAINT "lather_tests_feel" CHECK ("lather_tests"."slip" between 1 and 5 and "lather_tests"."rinse" between 1 and 5 and "lather_tests"."after_feel" between 1 and 5 and "lather_tests"."scent" between 1 and 5);