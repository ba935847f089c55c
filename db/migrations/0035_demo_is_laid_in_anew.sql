-- A movement is never changed, and goes only together with its whole lot; or with a batch of the demo that is laid in anew.
CREATE OR REPLACE FUNCTION "refuse_change_of_movement"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'DELETE' AND (
    coalesce(current_setting('tensidrum.renewing_demo', true), '') = 'on' OR NOT EXISTS (SELECT 1 FROM lots WHERE id = OLD.lot_id)
  ) THEN
    RETURN OLD;
  END IF;
  RAISE EXCEPTION 'movement % stands; correct it by another', OLD.id USING ERRCODE = 'restrict_violation';
END
$$;
