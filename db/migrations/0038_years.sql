DROP INDEX "batches_version";--> statement-breakpoint
DROP INDEX "lots_material";--> statement-breakpoint
DROP INDEX "formulas_maker_updated";--> statement-breakpoint
DROP INDEX "planned_checks_due";--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "name" text GENERATED ALWAYS AS (formula ->> 'name') STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "batch_grams" numeric GENERATED ALWAYS AS ((formula ->> 'batchGrams')::numeric) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "planned_checks" ADD COLUMN "is_done" boolean DEFAULT false NOT NULL;--> statement-breakpoint
CREATE INDEX "batch_entries_calibrated" ON "batch_entries" USING btree ("maker_id","position") WHERE kind = 'calibrated';--> statement-breakpoint
CREATE INDEX "batches_version_finished" ON "batches" USING btree ("version_id","finished_at");--> statement-breakpoint
CREATE INDEX "batches_newest" ON "batches" USING btree ("maker_id","started_at","id");--> statement-breakpoint
CREATE INDEX "batches_open" ON "batches" USING btree ("maker_id","started_at") WHERE finished_at is null;--> statement-breakpoint
CREATE INDEX "batches_finished" ON "batches" USING btree ("maker_id","finished_at","id") WHERE finished_at is not null;--> statement-breakpoint
CREATE INDEX "versions_finalised" ON "versions" USING btree ("maker_id","finalised_at") WHERE state = 'final';--> statement-breakpoint
CREATE INDEX "lot_balances_standing" ON "lot_balances" USING btree ("maker_id") WHERE left_grams <> 0 or free_grams <> 0;--> statement-breakpoint
CREATE INDEX "lots_maker_material" ON "lots" USING btree ("maker_id","material_id","created_at","id");--> statement-breakpoint
CREATE INDEX "checks_maker_looked" ON "checks" USING btree ("maker_id","looked_at");--> statement-breakpoint
CREATE INDEX "formulas_maker_updated" ON "formulas" USING btree ("maker_id","updated_at","id");--> statement-breakpoint
CREATE INDEX "planned_checks_due" ON "planned_checks" USING btree ("maker_id","due_on") WHERE not is_done and skipped_because = '';--> statement-breakpoint
UPDATE "planned_checks" p SET "is_done" = true WHERE EXISTS (SELECT FROM "checks" c WHERE c."planned_id" = p."id");--> statement-breakpoint
CREATE FUNCTION "mark_planned_checks_done"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  UPDATE planned_checks SET is_done = true WHERE id = NEW.planned_id;
  RETURN NULL;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "checks_mark_planned" AFTER INSERT ON "checks"
  FOR EACH ROW WHEN (NEW.planned_id IS NOT NULL) EXECUTE FUNCTION "mark_planned_checks_done"();
