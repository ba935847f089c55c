CREATE TABLE "containers" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"name" text NOT NULL,
	"nominal_ml" numeric NOT NULL,
	"brimful_ml" numeric NOT NULL,
	"headspace_ml" numeric NOT NULL,
	"dip_tube_ml" numeric NOT NULL,
	"price_each" numeric,
	"position" integer NOT NULL,
	CONSTRAINT "containers_maker_name" UNIQUE("maker_id","name"),
	CONSTRAINT "containers_name_length" CHECK (char_length("containers"."name") between 1 and 60),
	CONSTRAINT "containers_nominal" CHECK ("containers"."nominal_ml" > 0 and "containers"."nominal_ml" <= "containers"."brimful_ml"),
	CONSTRAINT "containers_brimful" CHECK ("containers"."brimful_ml" <= 100000),
	CONSTRAINT "containers_displaced" CHECK ("containers"."headspace_ml" >= 0 and "containers"."dip_tube_ml" >= 0 and "containers"."headspace_ml" + "containers"."dip_tube_ml" < "containers"."brimful_ml"),
	CONSTRAINT "containers_price" CHECK ("containers"."price_each" >= 0 and "containers"."price_each" <= 1000000)
);
--> statement-breakpoint
CREATE TABLE "line_lots" (
	"version_id" uuid NOT NULL,
	"line_id" uuid NOT NULL,
	"lot_id" uuid NOT NULL,
	"maker_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"grams" numeric,
	CONSTRAINT "line_lots_pkey" PRIMARY KEY("version_id","line_id","lot_id"),
	CONSTRAINT "line_lots_grams" CHECK ("line_lots"."grams" > 0 and "line_lots"."grams" <= 1000000)
);
--> statement-breakpoint
CREATE TABLE "library_changes" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"library_version" text NOT NULL,
	"slug" text NOT NULL,
	"name" text NOT NULL,
	"differences" jsonb NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "own_facts" (
	"maker_id" uuid NOT NULL,
	"material_id" uuid NOT NULL,
	"facts" jsonb NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "own_facts_pkey" PRIMARY KEY("maker_id","material_id"),
	CONSTRAINT "own_facts_are_some" CHECK (jsonb_typeof("own_facts"."facts") = 'object' and "own_facts"."facts" <> '{}'::jsonb),
	CONSTRAINT "own_facts_keep_identity" CHECK (not ("own_facts"."facts" ?| array['slug', 'name', 'role', 'inci', 'parts', 'uncertain', 'measured']))
);
--> statement-breakpoint
CREATE TABLE "scent_counts" (
	"round_id" uuid NOT NULL,
	"maker_id" uuid NOT NULL,
	"material_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"count" numeric NOT NULL,
	"drop_milligrams" numeric,
	CONSTRAINT "scent_counts_pkey" PRIMARY KEY("round_id","material_id"),
	CONSTRAINT "scent_counts_count" CHECK ("scent_counts"."count" > 0 and "scent_counts"."count" <= 100000),
	CONSTRAINT "scent_counts_drop" CHECK ("scent_counts"."drop_milligrams" > 0 and "scent_counts"."drop_milligrams" <= 1000)
);
--> statement-breakpoint
CREATE TABLE "scent_rounds" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"scent_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"counted_in" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"material_id" uuid,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "scent_rounds_id_maker" UNIQUE("id","maker_id"),
	CONSTRAINT "scent_rounds_number" UNIQUE("scent_id","number"),
	CONSTRAINT "scent_rounds_number_counts" CHECK ("scent_rounds"."number" > 0),
	CONSTRAINT "scent_rounds_counted_in" CHECK ("scent_rounds"."counted_in" in ('drops', 'grams', 'parts')),
	CONSTRAINT "scent_rounds_note_length" CHECK (char_length("scent_rounds"."note") <= 500)
);
--> statement-breakpoint
CREATE TABLE "scents" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "scents_id_maker" UNIQUE("id","maker_id"),
	CONSTRAINT "scents_maker_name" UNIQUE("maker_id","name"),
	CONSTRAINT "scents_name_length" CHECK (char_length("scents"."name") between 1 and 120)
);
--> statement-breakpoint
ALTER TABLE "makers" ADD COLUMN "currency" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "makers" ADD COLUMN "mass_unit" text DEFAULT 'g' NOT NULL;--> statement-breakpoint
ALTER TABLE "materials" ADD COLUMN "made_as" text;--> statement-breakpoint
ALTER TABLE "containers" ADD CONSTRAINT "containers_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_lots" ADD CONSTRAINT "line_lots_line" FOREIGN KEY ("version_id","line_id") REFERENCES "public"."lines"("version_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_lots" ADD CONSTRAINT "line_lots_version" FOREIGN KEY ("version_id","maker_id") REFERENCES "public"."versions"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_lots" ADD CONSTRAINT "line_lots_lot" FOREIGN KEY ("lot_id","maker_id") REFERENCES "public"."lots"("id","maker_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "own_facts" ADD CONSTRAINT "own_facts_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "own_facts" ADD CONSTRAINT "own_facts_material_id_materials_id_fk" FOREIGN KEY ("material_id") REFERENCES "public"."materials"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "scent_counts" ADD CONSTRAINT "scent_counts_material_id_materials_id_fk" FOREIGN KEY ("material_id") REFERENCES "public"."materials"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "scent_counts" ADD CONSTRAINT "scent_counts_round" FOREIGN KEY ("round_id","maker_id") REFERENCES "public"."scent_rounds"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "scent_rounds" ADD CONSTRAINT "scent_rounds_material_id_materials_id_fk" FOREIGN KEY ("material_id") REFERENCES "public"."materials"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "scent_rounds" ADD CONSTRAINT "scent_rounds_scent" FOREIGN KEY ("scent_id","maker_id") REFERENCES "public"."scents"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "scents" ADD CONSTRAINT "scents_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "line_lots_lot" ON "line_lots" USING btree ("lot_id");--> statement-breakpoint
CREATE INDEX "library_changes_made_at" ON "library_changes" USING btree ("made_at");--> statement-breakpoint
CREATE INDEX "scent_counts_material" ON "scent_counts" USING btree ("material_id");--> statement-breakpoint
ALTER TABLE "makers" ADD CONSTRAINT "makers_currency_length" CHECK (char_length("makers"."currency") <= 8);--> statement-breakpoint
ALTER TABLE "makers" ADD CONSTRAINT "makers_mass_unit" CHECK ("makers"."mass_unit" in ('g', 'kg', 'oz'));--> statement-breakpoint
ALTER TABLE "materials" ADD CONSTRAINT "materials_made_here_is_own" CHECK ("materials"."made_as" is null or ("materials"."maker_id" is not null and "materials"."made_as" in ('solution', 'water', 'scent', 'formula', 'blend')));--> statement-breakpoint
CREATE TRIGGER "own_facts_of_seen_materials" BEFORE INSERT OR UPDATE OF "material_id" ON "own_facts"
  FOR EACH ROW EXECUTE FUNCTION "refuse_foreign_material"();
--> statement-breakpoint
CREATE TRIGGER "scents_count_seen_materials" BEFORE INSERT OR UPDATE OF "material_id" ON "scent_counts"
  FOR EACH ROW EXECUTE FUNCTION "refuse_foreign_material"();
--> statement-breakpoint
CREATE TRIGGER "line_lots_of_set_versions_stay" BEFORE INSERT OR UPDATE OR DELETE ON "line_lots"
  FOR EACH ROW EXECUTE FUNCTION "refuse_change_below_set_version"();
--> statement-breakpoint
-- A line is weighed from lots of its own material only.
CREATE FUNCTION "refuse_lot_of_other_material"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF NOT EXISTS (
    SELECT 1 FROM lines JOIN lots ON lots.material_id = lines.material_id
    WHERE lines.version_id = NEW.version_id AND lines.id = NEW.line_id AND lots.id = NEW.lot_id
  ) THEN
    RAISE EXCEPTION 'lot % holds another material', NEW.lot_id USING ERRCODE = 'foreign_key_violation';
  END IF;
  RETURN NEW;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "line_lots_hold_the_material" BEFORE INSERT OR UPDATE ON "line_lots"
  FOR EACH ROW EXECUTE FUNCTION "refuse_lot_of_other_material"();
