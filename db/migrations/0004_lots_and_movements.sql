CREATE TABLE "lots" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"material_id" uuid NOT NULL,
	"code" text NOT NULL,
	"supplier" text DEFAULT '' NOT NULL,
	"assay_percent" numeric,
	"pack_grams" numeric NOT NULL,
	"price" numeric,
	"opened_on" date,
	"ends_on" date,
	"note" text DEFAULT '' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "lots_id_maker" UNIQUE("id","maker_id"),
	CONSTRAINT "lots_maker_material_code" UNIQUE("maker_id","material_id","code"),
	CONSTRAINT "lots_code_length" CHECK (char_length("lots"."code") between 1 and 60),
	CONSTRAINT "lots_words" CHECK (char_length("lots"."supplier") <= 120 and char_length("lots"."note") <= 500),
	CONSTRAINT "lots_assay" CHECK ("lots"."assay_percent" > 0 and "lots"."assay_percent" <= 100),
	CONSTRAINT "lots_pack" CHECK ("lots"."pack_grams" > 0 and "lots"."pack_grams" <= 1000000),
	CONSTRAINT "lots_price" CHECK ("lots"."price" >= 0 and "lots"."price" <= 1000000)
);
--> statement-breakpoint
CREATE TABLE "movements" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"lot_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"grams" numeric NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	"position" bigserial NOT NULL,
	CONSTRAINT "movements_kind" CHECK ("movements"."kind" in ('receive', 'reserve', 'release', 'use', 'correct', 'discard')),
	CONSTRAINT "movements_sign" CHECK (case when "movements"."kind" in ('receive', 'release') then "movements"."grams" > 0
        when "movements"."kind" = 'correct' then "movements"."grams" <> 0
        else "movements"."grams" < 0 end),
	CONSTRAINT "movements_size" CHECK (abs("movements"."grams") <= 1000000),
	CONSTRAINT "movements_note_length" CHECK (char_length("movements"."note") <= 200)
);
--> statement-breakpoint
ALTER TABLE "lots" ADD CONSTRAINT "lots_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lots" ADD CONSTRAINT "lots_material_id_materials_id_fk" FOREIGN KEY ("material_id") REFERENCES "public"."materials"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "movements" ADD CONSTRAINT "movements_lot" FOREIGN KEY ("lot_id","maker_id") REFERENCES "public"."lots"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "lots_material" ON "lots" USING btree ("material_id");--> statement-breakpoint
CREATE INDEX "movements_lot_position" ON "movements" USING btree ("lot_id","position");--> statement-breakpoint
CREATE INDEX "movements_maker_lot_grams" ON "movements" USING btree ("maker_id","lot_id","kind","grams");--> statement-breakpoint
-- A movement is never changed, and goes only together with its whole lot.
CREATE FUNCTION "refuse_change_of_movement"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'DELETE' AND NOT EXISTS (SELECT 1 FROM lots WHERE id = OLD.lot_id) THEN
    RETURN OLD;
  END IF;
  RAISE EXCEPTION 'movement % stands; correct it by another', OLD.id USING ERRCODE = 'restrict_violation';
END
$$;
--> statement-breakpoint
CREATE TRIGGER "movements_stay" BEFORE UPDATE OR DELETE ON "movements"
  FOR EACH ROW EXECUTE FUNCTION "refuse_change_of_movement"();
--> statement-breakpoint
-- A lot something was taken from is part of the books: it goes only together with its maker.
CREATE FUNCTION "refuse_loss_of_used_lot"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF EXISTS (SELECT 1 FROM makers WHERE id = OLD.maker_id)
    AND EXISTS (SELECT 1 FROM movements WHERE lot_id = OLD.id AND kind <> 'receive') THEN
    RAISE EXCEPTION 'lot % has been used or reserved', OLD.id USING ERRCODE = 'restrict_violation';
  END IF;
  RETURN OLD;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "lots_used_stay" BEFORE DELETE ON "lots"
  FOR EACH ROW EXECUTE FUNCTION "refuse_loss_of_used_lot"();
--> statement-breakpoint
CREATE TRIGGER "lots_of_own_materials" BEFORE INSERT OR UPDATE OF "material_id" ON "lots"
  FOR EACH ROW EXECUTE FUNCTION "refuse_foreign_material"();
