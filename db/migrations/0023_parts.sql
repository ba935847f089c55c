ALTER TABLE "labels" DROP CONSTRAINT "labels_of";--> statement-breakpoint
ALTER TABLE "phases" ADD COLUMN "share_percent" numeric;--> statement-breakpoint
ALTER TABLE "phases" ADD COLUMN "add_up_to_percent" numeric;--> statement-breakpoint
ALTER TABLE "phases" ADD COLUMN "may_add" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "labels" ADD COLUMN "part" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "labels" ADD CONSTRAINT "labels_of" UNIQUE NULLS NOT DISTINCT("maker_id","formula_id","container_id","part");--> statement-breakpoint
ALTER TABLE "phases" ADD CONSTRAINT "phases_share" CHECK ("phases"."share_percent" > 0 and "phases"."share_percent" <= 100);--> statement-breakpoint
ALTER TABLE "phases" ADD CONSTRAINT "phases_open_part" CHECK ("phases"."add_up_to_percent" is null or ("phases"."share_percent" is not null and "phases"."add_up_to_percent" > 0 and "phases"."add_up_to_percent" < 100));--> statement-breakpoint
ALTER TABLE "phases" ADD CONSTRAINT "phases_may_add_length" CHECK (char_length("phases"."may_add") <= 300);--> statement-breakpoint
ALTER TABLE "labels" ADD CONSTRAINT "labels_part_length" CHECK (char_length("labels"."part") <= 200);