CREATE TABLE "price_wishes" (
	"maker_id" uuid NOT NULL,
	"formula_id" uuid NOT NULL,
	"label_each" numeric NOT NULL,
	"margin_percent" numeric NOT NULL,
	"tax_percent" numeric NOT NULL,
	"shop_per_100_grams" numeric,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "price_wishes_pkey" PRIMARY KEY("maker_id","formula_id"),
	CONSTRAINT "price_wishes_label" CHECK ("price_wishes"."label_each" >= 0 and "price_wishes"."label_each" <= 1000000),
	CONSTRAINT "price_wishes_margin" CHECK ("price_wishes"."margin_percent" >= 0 and "price_wishes"."margin_percent" < 100),
	CONSTRAINT "price_wishes_tax" CHECK ("price_wishes"."tax_percent" >= 0 and "price_wishes"."tax_percent" <= 100),
	CONSTRAINT "price_wishes_shop" CHECK ("price_wishes"."shop_per_100_grams" > 0 and "price_wishes"."shop_per_100_grams" <= 1000000)
);
--> statement-breakpoint
ALTER TABLE "price_wishes" ADD CONSTRAINT "price_wishes_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "price_wishes" ADD CONSTRAINT "price_wishes_formula" FOREIGN KEY ("formula_id","maker_id") REFERENCES "public"."formulas"("id","maker_id") ON DELETE cascade ON UPDATE no action;