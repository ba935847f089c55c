-- A backup brings back what is final, used or whose formula is gone. While it does, and only in its own transaction, these rules look away.
CREATE OR REPLACE FUNCTION "refuse_change_below_final_version"() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  touched uuid[] := CASE TG_OP
    WHEN 'INSERT' THEN ARRAY[NEW.version_id]
    WHEN 'DELETE' THEN ARRAY[OLD.version_id]
    ELSE ARRAY[OLD.version_id, NEW.version_id] END;
BEGIN
  IF coalesce(current_setting('tensidrum.restoring', true), '') <> 'on'
    AND EXISTS (SELECT 1 FROM versions WHERE id = ANY (touched) AND state = 'final') THEN
    RAISE EXCEPTION 'version % is final and cannot change', touched[1] USING ERRCODE = 'restrict_violation';
  END IF;
  RETURN CASE WHEN TG_OP = 'DELETE' THEN OLD ELSE NEW END;
END
$$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION "refuse_foreign_version"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF NEW.version_id IS NULL AND coalesce(current_setting('tensidrum.restoring', true), '') = 'on' THEN
    RETURN NEW;
  END IF;
  IF NOT EXISTS (SELECT 1 FROM versions WHERE id = NEW.version_id AND maker_id = NEW.maker_id AND state = 'final') THEN
    RAISE EXCEPTION 'version % is not a final version of this maker', NEW.version_id USING ERRCODE = 'foreign_key_violation';
  END IF;
  RETURN NEW;
END
$$;
