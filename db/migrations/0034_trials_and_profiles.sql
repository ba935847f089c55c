CREATE TABLE "version_origins" (
	"version_id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"from_version_id" uuid NOT NULL,
	CONSTRAINT "version_origins_another" CHECK ("version_origins"."version_id" <> "version_origins"."from_version_id")
);
--> statement-breakpoint
ALTER TABLE "products" DROP CONSTRAINT "products_lengths";--> statement-breakpoint
ALTER TABLE "products" ADD COLUMN "profile" text DEFAULT 'everyday-shampoo' NOT NULL;--> statement-breakpoint
ALTER TABLE "version_origins" ADD CONSTRAINT "version_origins_version" FOREIGN KEY ("version_id","maker_id") REFERENCES "public"."versions"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "version_origins" ADD CONSTRAINT "version_origins_from" FOREIGN KEY ("from_version_id","maker_id") REFERENCES "public"."versions"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "version_origins_from_version" ON "version_origins" USING btree ("from_version_id");--> statement-breakpoint
ALTER TABLE "products" ADD CONSTRAINT "products_lengths" CHECK (char_length("products"."name") between 1 and 120 and char_length("products"."printed") <= 20000 and char_length("products"."container") <= 120 and char_length("products"."note") <= 2000 and char_length("products"."profile") <= 60);