-- The state of a version that stays is "final" everywhere; it was "set".
ALTER TABLE "versions" DISABLE TRIGGER "versions_set_stay";--> statement-breakpoint
ALTER TABLE "versions" DROP CONSTRAINT "versions_state";--> statement-breakpoint
ALTER TABLE "versions" DROP CONSTRAINT "versions_set_is_complete";--> statement-breakpoint
ALTER TABLE "versions" RENAME COLUMN "set_at" TO "finalised_at";--> statement-breakpoint
UPDATE "versions" SET "state" = 'final' WHERE "state" = 'set';--> statement-breakpoint
ALTER TABLE "versions" ADD CONSTRAINT "versions_state" CHECK ("versions"."state" in ('draft', 'final'));--> statement-breakpoint
ALTER TABLE "versions" ADD CONSTRAINT "versions_final_is_complete" CHECK (("versions"."state" = 'final') = ("versions"."snapshot" is not null) and ("versions"."state" = 'final') = ("versions"."finalised_at" is not null));--> statement-breakpoint
CREATE OR REPLACE FUNCTION "refuse_change_of_set_version"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF OLD.state = 'final' THEN
    IF TG_OP = 'DELETE' AND NOT EXISTS (SELECT 1 FROM formulas WHERE id = OLD.formula_id) THEN
      RETURN OLD;
    END IF;
    RAISE EXCEPTION 'version % is final and cannot change', OLD.id USING ERRCODE = 'restrict_violation';
  END IF;
  RETURN CASE WHEN TG_OP = 'DELETE' THEN OLD ELSE NEW END;
END
$$;--> statement-breakpoint
ALTER FUNCTION "refuse_change_of_set_version"() RENAME TO "refuse_change_of_final_version";--> statement-breakpoint
CREATE OR REPLACE FUNCTION "refuse_change_below_set_version"() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  touched uuid[] := CASE TG_OP
    WHEN 'INSERT' THEN ARRAY[NEW.version_id]
    WHEN 'DELETE' THEN ARRAY[OLD.version_id]
    ELSE ARRAY[OLD.version_id, NEW.version_id] END;
BEGIN
  IF EXISTS (SELECT 1 FROM versions WHERE id = ANY (touched) AND state = 'final') THEN
    RAISE EXCEPTION 'version % is final and cannot change', touched[1] USING ERRCODE = 'restrict_violation';
  END IF;
  RETURN CASE WHEN TG_OP = 'DELETE' THEN OLD ELSE NEW END;
END
$$;--> statement-breakpoint
ALTER FUNCTION "refuse_change_below_set_version"() RENAME TO "refuse_change_below_final_version";--> statement-breakpoint
CREATE OR REPLACE FUNCTION "refuse_foreign_version"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF NOT EXISTS (SELECT 1 FROM versions WHERE id = NEW.version_id AND maker_id = NEW.maker_id AND state = 'final') THEN
    RAISE EXCEPTION 'version % is not a final version of this maker', NEW.version_id USING ERRCODE = 'foreign_key_violation';
  END IF;
  RETURN NEW;
END
$$;--> statement-breakpoint
ALTER TRIGGER "versions_set_stay" ON "versions" RENAME TO "final_versions_stay";--> statement-breakpoint
ALTER TRIGGER "phases_of_set_versions_stay" ON "phases" RENAME TO "phases_of_final_versions_stay";--> statement-breakpoint
ALTER TRIGGER "lines_of_set_versions_stay" ON "lines" RENAME TO "lines_of_final_versions_stay";--> statement-breakpoint
ALTER TRIGGER "line_lots_of_set_versions_stay" ON "line_lots" RENAME TO "line_lots_of_final_versions_stay";--> statement-breakpoint
ALTER TABLE "versions" ENABLE TRIGGER "final_versions_stay";
