CREATE TABLE "lot_sources" (
	"lot_id" uuid NOT NULL,
	"from_lot_id" uuid NOT NULL,
	"maker_id" uuid NOT NULL,
	CONSTRAINT "lot_sources_pkey" PRIMARY KEY("lot_id","from_lot_id"),
	CONSTRAINT "lot_sources_not_itself" CHECK ("lot_sources"."lot_id" <> "lot_sources"."from_lot_id")
);
--> statement-breakpoint
CREATE TABLE "planned_batches" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"version_id" uuid NOT NULL,
	"planned_on" date NOT NULL,
	"grams" numeric(12, 3) NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"batch_id" uuid,
	CONSTRAINT "planned_batches_grams" CHECK ("planned_batches"."grams" > 0 and "planned_batches"."grams" <= 1000000),
	CONSTRAINT "planned_batches_note_length" CHECK (char_length("planned_batches"."note") <= 200)
);
--> statement-breakpoint
CREATE TABLE "offers" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"material_id" uuid NOT NULL,
	"supplier" text NOT NULL,
	"pack_grams" numeric(12, 3) NOT NULL,
	"price" numeric NOT NULL,
	"least_packs" integer DEFAULT 1 NOT NULL,
	"seen_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "offers_of" UNIQUE("maker_id","material_id","supplier","pack_grams"),
	CONSTRAINT "offers_supplier_length" CHECK (char_length("offers"."supplier") between 1 and 120),
	CONSTRAINT "offers_pack" CHECK ("offers"."pack_grams" > 0 and "offers"."pack_grams" <= 1000000),
	CONSTRAINT "offers_price" CHECK ("offers"."price" >= 0 and "offers"."price" <= 1000000),
	CONSTRAINT "offers_least_packs" CHECK ("offers"."least_packs" between 1 and 1000)
);
--> statement-breakpoint
ALTER TABLE "given_containers" DROP CONSTRAINT "given_containers_length";--> statement-breakpoint
ALTER TABLE "given_containers" ADD COLUMN "opened_on" date;--> statement-breakpoint
ALTER TABLE "lots" ADD COLUMN "after_opening_days" integer;--> statement-breakpoint
ALTER TABLE "lot_sources" ADD CONSTRAINT "lot_sources_lot" FOREIGN KEY ("lot_id","maker_id") REFERENCES "public"."lots"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lot_sources" ADD CONSTRAINT "lot_sources_from" FOREIGN KEY ("from_lot_id","maker_id") REFERENCES "public"."lots"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_batches" ADD CONSTRAINT "planned_batches_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_batches" ADD CONSTRAINT "planned_batches_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_batches" ADD CONSTRAINT "planned_batches_version" FOREIGN KEY ("version_id","maker_id") REFERENCES "public"."versions"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "offers" ADD CONSTRAINT "offers_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "offers" ADD CONSTRAINT "offers_material_id_materials_id_fk" FOREIGN KEY ("material_id") REFERENCES "public"."materials"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "lot_sources_from_lot" ON "lot_sources" USING btree ("from_lot_id");--> statement-breakpoint
CREATE INDEX "planned_batches_maker_day" ON "planned_batches" USING btree ("maker_id","planned_on");--> statement-breakpoint
ALTER TABLE "given_containers" ADD CONSTRAINT "given_containers_says_something" CHECK ("given_containers"."to_whom" <> '' or "given_containers"."opened_on" is not null);--> statement-breakpoint
ALTER TABLE "given_containers" ADD CONSTRAINT "given_containers_length" CHECK (char_length("given_containers"."to_whom") <= 300 and char_length("given_containers"."row_id") <= 200);--> statement-breakpoint
ALTER TABLE "lots" ADD CONSTRAINT "lots_after_opening" CHECK ("lots"."after_opening_days" between 1 and 3650);--> statement-breakpoint
CREATE TRIGGER "offers_of_seen_materials" BEFORE INSERT OR UPDATE OF "material_id" ON "offers"
  FOR EACH ROW EXECUTE FUNCTION "refuse_foreign_material"();
