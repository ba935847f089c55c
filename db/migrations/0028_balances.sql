CREATE TABLE "lot_balances" (
	"lot_id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"free_grams" numeric(15, 3) NOT NULL,
	"left_grams" numeric(15, 3) NOT NULL,
	"is_untouched" boolean NOT NULL
);
--> statement-breakpoint
ALTER TABLE "lot_balances" ADD CONSTRAINT "lot_balances_lot" FOREIGN KEY ("lot_id","maker_id") REFERENCES "public"."lots"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "lot_balances_maker" ON "lot_balances" USING btree ("maker_id");--> statement-breakpoint
CREATE FUNCTION "keep_lot_balances"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO lot_balances AS b (lot_id, maker_id, free_grams, left_grams, is_untouched)
  SELECT lot_id, maker_id, sum(grams), coalesce(sum(grams) FILTER (WHERE kind NOT IN ('reserve', 'release')), 0), bool_and(kind = 'receive')
  FROM added GROUP BY lot_id, maker_id ORDER BY lot_id
  ON CONFLICT (lot_id) DO UPDATE SET
    free_grams = b.free_grams + excluded.free_grams,
    left_grams = b.left_grams + excluded.left_grams,
    is_untouched = b.is_untouched AND excluded.is_untouched;
  RETURN NULL;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "movements_keep_balances" AFTER INSERT ON "movements"
  REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION "keep_lot_balances"();
--> statement-breakpoint
INSERT INTO lot_balances (lot_id, maker_id, free_grams, left_grams, is_untouched)
SELECT lot_id, maker_id, sum(grams), coalesce(sum(grams) FILTER (WHERE kind NOT IN ('reserve', 'release')), 0), bool_and(kind = 'receive')
FROM movements GROUP BY lot_id, maker_id;
