CREATE TABLE "batch_photos" (
	"id" uuid PRIMARY KEY NOT NULL,
	"batch_id" uuid NOT NULL,
	"maker_id" uuid NOT NULL,
	"picture" "bytea" NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"stored_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "batch_photos_size" CHECK (octet_length("batch_photos"."picture") between 1 and 5242880),
	CONSTRAINT "batch_photos_sides" CHECK ("batch_photos"."width" between 1 and 10000 and "batch_photos"."height" between 1 and 10000)
);
--> statement-breakpoint
ALTER TABLE "batch_entries" DROP CONSTRAINT "batch_entries_kind";--> statement-breakpoint
ALTER TABLE "makers" ADD COLUMN "batch_code" text DEFAULT '{letters}-{yymmdd}-{n}' NOT NULL;--> statement-breakpoint
ALTER TABLE "batch_photos" ADD CONSTRAINT "batch_photos_batch" FOREIGN KEY ("batch_id","maker_id") REFERENCES "public"."batches"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "batch_photos_batch" ON "batch_photos" USING btree ("batch_id");--> statement-breakpoint
ALTER TABLE "batch_entries" ADD CONSTRAINT "batch_entries_kind" CHECK ("batch_entries"."kind" in ('tared', 'weighed', 'measured', 'accepted', 'corrected', 'done', 'skipped', 'noted', 'photographed', 'timer', 'wait-ended', 'paused', 'resumed', 'taken-back', 'finished'));--> statement-breakpoint
ALTER TABLE "makers" ADD CONSTRAINT "makers_batch_code" CHECK (char_length("makers"."batch_code") between 3 and 40 and position('{n}' in "makers"."batch_code") > 0);