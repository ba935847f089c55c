-- A set version and all that hangs on it never changes. It goes only together with its whole formula.
CREATE FUNCTION "refuse_change_of_set_version"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF OLD.state = 'set' THEN
    IF TG_OP = 'DELETE' AND NOT EXISTS (SELECT 1 FROM formulas WHERE id = OLD.formula_id) THEN
      RETURN OLD;
    END IF;
    RAISE EXCEPTION 'version % is set and cannot change', OLD.id USING ERRCODE = 'restrict_violation';
  END IF;
  RETURN CASE WHEN TG_OP = 'DELETE' THEN OLD ELSE NEW END;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "versions_set_stay" BEFORE UPDATE OR DELETE ON "versions"
  FOR EACH ROW EXECUTE FUNCTION "refuse_change_of_set_version"();
--> statement-breakpoint
CREATE FUNCTION "refuse_change_below_set_version"() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  touched uuid[] := CASE TG_OP
    WHEN 'INSERT' THEN ARRAY[NEW.version_id]
    WHEN 'DELETE' THEN ARRAY[OLD.version_id]
    ELSE ARRAY[OLD.version_id, NEW.version_id] END;
BEGIN
  IF EXISTS (SELECT 1 FROM versions WHERE id = ANY (touched) AND state = 'set') THEN
    RAISE EXCEPTION 'version % is set and cannot change', touched[1] USING ERRCODE = 'restrict_violation';
  END IF;
  RETURN CASE WHEN TG_OP = 'DELETE' THEN OLD ELSE NEW END;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "phases_of_set_versions_stay" BEFORE INSERT OR UPDATE OR DELETE ON "phases"
  FOR EACH ROW EXECUTE FUNCTION "refuse_change_below_set_version"();
--> statement-breakpoint
CREATE TRIGGER "lines_of_set_versions_stay" BEFORE INSERT OR UPDATE OR DELETE ON "lines"
  FOR EACH ROW EXECUTE FUNCTION "refuse_change_below_set_version"();
--> statement-breakpoint
-- A line may name a reference material or one of its own maker, never another maker's.
CREATE FUNCTION "refuse_foreign_material"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF NOT EXISTS (
    SELECT 1 FROM materials WHERE id = NEW.material_id AND (maker_id IS NULL OR maker_id = NEW.maker_id)
  ) THEN
    RAISE EXCEPTION 'material % is not on this maker''s shelf', NEW.material_id USING ERRCODE = 'foreign_key_violation';
  END IF;
  RETURN NEW;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "lines_use_own_materials" BEFORE INSERT OR UPDATE OF "material_id" ON "lines"
  FOR EACH ROW EXECUTE FUNCTION "refuse_foreign_material"();
