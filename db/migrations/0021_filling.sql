CREATE TABLE "batch_containers" (
	"batch_id" uuid NOT NULL,
	"maker_id" uuid NOT NULL,
	"row_id" text NOT NULL,
	"container_id" uuid,
	"name" text NOT NULL,
	"use" text NOT NULL,
	"count" integer NOT NULL,
	"grams" numeric(12, 3) NOT NULL,
	CONSTRAINT "batch_containers_pkey" PRIMARY KEY("batch_id","row_id"),
	CONSTRAINT "batch_containers_use" CHECK ("batch_containers"."use" in ('use', 'tester', 'retained')),
	CONSTRAINT "batch_containers_count" CHECK ("batch_containers"."count" > 0),
	CONSTRAINT "batch_containers_grams" CHECK ("batch_containers"."grams" > 0),
	CONSTRAINT "batch_containers_name_length" CHECK (char_length("batch_containers"."name") between 1 and 200)
);
--> statement-breakpoint
ALTER TABLE "batch_entries" DROP CONSTRAINT "batch_entries_kind";--> statement-breakpoint
ALTER TABLE "containers" ADD COLUMN "type" text DEFAULT 'bottle' NOT NULL;--> statement-breakpoint
ALTER TABLE "containers" ADD COLUMN "tare_grams" numeric;--> statement-breakpoint
ALTER TABLE "containers" ADD COLUMN "label_width_mm" numeric;--> statement-breakpoint
ALTER TABLE "containers" ADD COLUMN "label_height_mm" numeric;--> statement-breakpoint
ALTER TABLE "containers" ADD COLUMN "pieces" integer;--> statement-breakpoint
ALTER TABLE "containers" ADD COLUMN "note" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "batch_containers" ADD CONSTRAINT "batch_containers_container_id_containers_id_fk" FOREIGN KEY ("container_id") REFERENCES "public"."containers"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "batch_containers" ADD CONSTRAINT "batch_containers_batch" FOREIGN KEY ("batch_id","maker_id") REFERENCES "public"."batches"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "batch_containers_container" ON "batch_containers" USING btree ("container_id");--> statement-breakpoint
ALTER TABLE "containers" ADD CONSTRAINT "containers_id_maker" UNIQUE("id","maker_id");--> statement-breakpoint
ALTER TABLE "batch_entries" ADD CONSTRAINT "batch_entries_kind" CHECK ("batch_entries"."kind" in ('tared', 'weighed', 'measured', 'topped-up', 'filled', 'fill-planned', 'fill-checked', 'container-tried', 'container-filled', 'fill-lost', 'calibrated', 'ph-read', 'ph-target', 'temperature-read', 'looked', 'dosed', 'sample-taken', 'sample-read', 'sample-dosed', 'sample-back', 'sample-lost', 'thickness-read', 'salted', 'drops-weighed', 'thickened', 'accepted', 'corrected', 'done', 'skipped', 'noted', 'photographed', 'timer', 'wait-ended', 'paused', 'resumed', 'taken-back', 'finished', 'discarded'));--> statement-breakpoint
ALTER TABLE "containers" ADD CONSTRAINT "containers_type" CHECK ("containers"."type" in ('bottle', 'pump', 'foaming-pump', 'tube', 'jar', 'piping-bag', 'sachet', 'bulk'));--> statement-breakpoint
ALTER TABLE "containers" ADD CONSTRAINT "containers_tare" CHECK ("containers"."tare_grams" > 0 and "containers"."tare_grams" <= 100000);--> statement-breakpoint
ALTER TABLE "containers" ADD CONSTRAINT "containers_label" CHECK ("containers"."label_width_mm" between 5 and 1000 and "containers"."label_height_mm" between 5 and 1000 and ("containers"."label_width_mm" is null) = ("containers"."label_height_mm" is null));--> statement-breakpoint
ALTER TABLE "containers" ADD CONSTRAINT "containers_pieces" CHECK ("containers"."pieces" between 0 and 100000);--> statement-breakpoint
ALTER TABLE "containers" ADD CONSTRAINT "containers_note_length" CHECK (char_length("containers"."note") <= 200);