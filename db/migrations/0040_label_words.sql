CREATE FUNCTION "said_on_label"(design jsonb) RETURNS text LANGUAGE sql IMMUTABLE PARALLEL SAFE AS $$
  SELECT concat_ws(' ', nullif(design ->> 'name', ''), (
    SELECT string_agg(box ->> 'text', ' ' ORDER BY at) FROM jsonb_array_elements(design -> 'boxes') WITH ORDINALITY AS boxes(box, at) WHERE box ->> 'text' <> ''
  ))
$$;
--> statement-breakpoint
CREATE INDEX "labels_said_trigrams" ON "labels" USING gin ("said_on_label"("design") gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "labels_said_words" ON "labels" USING gin (to_tsvector('simple', "said_on_label"("design")));
