-- Search forgives spelling by trigrams and finds words in any order by full text; no dictionary of a language, as makers write in theirs.
CREATE EXTENSION IF NOT EXISTS pg_trgm;--> statement-breakpoint
CREATE INDEX "formulas_name_trigrams" ON "formulas" USING gin ("name" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "versions_note_trigrams" ON "versions" USING gin ("note" gin_trgm_ops) WHERE "note" <> '';--> statement-breakpoint
CREATE INDEX "versions_note_words" ON "versions" USING gin (to_tsvector('simple', "note")) WHERE "note" <> '';--> statement-breakpoint
CREATE INDEX "lines_as_written_trigrams" ON "lines" USING gin ("as_written" gin_trgm_ops) WHERE "as_written" <> '';--> statement-breakpoint
CREATE INDEX "materials_name_trigrams" ON "materials" USING gin ("name" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "batches_code_trigrams" ON "batches" USING gin ("code" gin_trgm_ops);--> statement-breakpoint
CREATE FUNCTION "said_in_entry"(entry jsonb) RETURNS text LANGUAGE sql IMMUTABLE PARALLEL SAFE AS $$
  SELECT concat_ws(' ', entry ->> 'text', entry ->> 'reason')
$$;
--> statement-breakpoint
CREATE INDEX "batch_entries_said_trigrams" ON "batch_entries" USING gin ("said_in_entry"("entry") gin_trgm_ops)
  WHERE "kind" IN ('noted', 'skipped', 'looked', 'container-tried', 'fill-lost');--> statement-breakpoint
CREATE INDEX "batch_entries_said_words" ON "batch_entries" USING gin (to_tsvector('simple', "said_in_entry"("entry")))
  WHERE "kind" IN ('noted', 'skipped', 'looked', 'container-tried', 'fill-lost');--> statement-breakpoint
CREATE INDEX "lots_code_trigrams" ON "lots" USING gin ("code" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "lots_supplier_trigrams" ON "lots" USING gin ("supplier" gin_trgm_ops) WHERE "supplier" <> '';--> statement-breakpoint
CREATE INDEX "given_containers_trigrams" ON "given_containers" USING gin ("to_whom" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "checks_note_trigrams" ON "checks" USING gin ("note" gin_trgm_ops) WHERE "note" <> '';--> statement-breakpoint
CREATE INDEX "checks_note_words" ON "checks" USING gin (to_tsvector('simple', "note")) WHERE "note" <> '';
