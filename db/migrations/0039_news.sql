-- Whoever has a batch open is told that something was entered, whichever process stored it. A restored backup tells of no batch: too many.
CREATE FUNCTION "tell_batch_news"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF (SELECT count(DISTINCT batch_id) FROM added) <= 10 THEN
    PERFORM pg_notify('batch_news', batch_id::text) FROM (SELECT DISTINCT batch_id FROM added) told;
  END IF;
  RETURN NULL;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "batch_entries_tell" AFTER INSERT ON "batch_entries"
  REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION "tell_batch_news"();
