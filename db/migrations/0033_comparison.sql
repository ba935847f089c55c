CREATE TABLE "product_photos" (
	"product_id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"picture" "bytea" NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	CONSTRAINT "product_photos_size" CHECK (octet_length("product_photos"."picture") between 1 and 5242880),
	CONSTRAINT "product_photos_sides" CHECK ("product_photos"."width" between 1 and 10000 and "product_photos"."height" between 1 and 10000)
);
--> statement-breakpoint
CREATE TABLE "products" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"name" text NOT NULL,
	"printed" text DEFAULT '' NOT NULL,
	"known" jsonb NOT NULL,
	"price" numeric,
	"content_grams" numeric,
	"container" text DEFAULT '' NOT NULL,
	"ph" numeric,
	"pascal_seconds" numeric,
	"funnel_seconds" numeric,
	"foam_at_once_mm" numeric,
	"foam_after_five_mm" numeric,
	"slip" numeric,
	"rinse" numeric,
	"after_feel" numeric,
	"scent" numeric,
	"dry_matter_percent" numeric,
	"clarity" text DEFAULT '' NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "products_id_maker" UNIQUE("id","maker_id"),
	CONSTRAINT "products_maker_name" UNIQUE("maker_id","name"),
	CONSTRAINT "products_lengths" CHECK (char_length("products"."name") between 1 and 120 and char_length("products"."printed") <= 20000 and char_length("products"."container") <= 120 and char_length("products"."note") <= 2000),
	CONSTRAINT "products_price" CHECK ("products"."price" >= 0 and "products"."price" <= 1000000 and "products"."content_grams" > 0 and "products"."content_grams" <= 1000000),
	CONSTRAINT "products_dry" CHECK ("products"."dry_matter_percent" between 0 and 100),
	CONSTRAINT "products_clarity" CHECK ("products"."clarity" in ('', 'clear', 'slightly hazy', 'hazy', 'opaque')),
	CONSTRAINT "products_ph" CHECK ("products"."ph" between 0 and 14),
	CONSTRAINT "products_thickness" CHECK ("products"."pascal_seconds" > 0 and "products"."pascal_seconds" <= 100000 and "products"."funnel_seconds" > 0 and "products"."funnel_seconds" <= 36000),
	CONSTRAINT "products_foam" CHECK ("products"."foam_at_once_mm" between 0 and 1000 and "products"."foam_after_five_mm" >= 0 and "products"."foam_after_five_mm" <= "products"."foam_at_once_mm"),
	CONSTRAINT "products_feel" CHECK ("products"."slip" between 1 and 5 and "products"."rinse" between 1 and 5 and "products"."after_feel" between 1 and 5 and "products"."scent" between 1 and 5)
);
--> statement-breakpoint
CREATE TABLE "round_readings" (
	"version_id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"ph" numeric,
	"pascal_seconds" numeric,
	"funnel_seconds" numeric,
	"foam_at_once_mm" numeric,
	"foam_after_five_mm" numeric,
	"slip" numeric,
	"rinse" numeric,
	"after_feel" numeric,
	"scent" numeric,
	"clarity" text DEFAULT '' NOT NULL,
	"learned" text DEFAULT '' NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "round_readings_learned_length" CHECK (char_length("round_readings"."learned") <= 500),
	CONSTRAINT "round_readings_clarity" CHECK ("round_readings"."clarity" in ('', 'clear', 'slightly hazy', 'hazy', 'opaque')),
	CONSTRAINT "round_readings_ph" CHECK ("round_readings"."ph" between 0 and 14),
	CONSTRAINT "round_readings_thickness" CHECK ("round_readings"."pascal_seconds" > 0 and "round_readings"."pascal_seconds" <= 100000 and "round_readings"."funnel_seconds" > 0 and "round_readings"."funnel_seconds" <= 36000),
	CONSTRAINT "round_readings_foam" CHECK ("round_readings"."foam_at_once_mm" between 0 and 1000 and "round_readings"."foam_after_five_mm" >= 0 and "round_readings"."foam_after_five_mm" <= "round_readings"."foam_at_once_mm"),
	CONSTRAINT "round_readings_feel" CHECK ("round_readings"."slip" between 1 and 5 and "round_readings"."rinse" between 1 and 5 and "round_readings"."after_feel" between 1 and 5 and "round_readings"."scent" between 1 and 5)
);
--> statement-breakpoint
CREATE TABLE "suggestions" (
	"version_id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"from_version_id" uuid NOT NULL,
	"material" text NOT NULL,
	"from_percent" numeric NOT NULL,
	"to_percent" numeric NOT NULL,
	"source" text NOT NULL,
	"expected" jsonb NOT NULL,
	"sentence" text NOT NULL,
	"taken_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "suggestions_source" CHECK ("suggestions"."source" in ('own', 'model')),
	CONSTRAINT "suggestions_percents" CHECK ("suggestions"."from_percent" between 0 and 100 and "suggestions"."to_percent" between 0 and 100),
	CONSTRAINT "suggestions_lengths" CHECK (char_length("suggestions"."sentence") between 1 and 500 and char_length("suggestions"."material") between 1 and 120)
);
--> statement-breakpoint
ALTER TABLE "product_photos" ADD CONSTRAINT "product_photos_product" FOREIGN KEY ("product_id","maker_id") REFERENCES "public"."products"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "products" ADD CONSTRAINT "products_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "round_readings" ADD CONSTRAINT "round_readings_version" FOREIGN KEY ("version_id","maker_id") REFERENCES "public"."versions"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "suggestions" ADD CONSTRAINT "suggestions_version" FOREIGN KEY ("version_id","maker_id") REFERENCES "public"."versions"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "suggestions" ADD CONSTRAINT "suggestions_from" FOREIGN KEY ("from_version_id","maker_id") REFERENCES "public"."versions"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "suggestions_maker_taken" ON "suggestions" USING btree ("maker_id","taken_at");