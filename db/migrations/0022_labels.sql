CREATE TABLE "labels" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"formula_id" uuid NOT NULL,
	"container_id" uuid,
	"design" jsonb NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "labels_of" UNIQUE NULLS NOT DISTINCT("maker_id","formula_id","container_id"),
	CONSTRAINT "labels_design" CHECK ("labels"."design" ->> 'format' = 'tensidrum-label/1')
);
--> statement-breakpoint
ALTER TABLE "labels" ADD CONSTRAINT "labels_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "labels" ADD CONSTRAINT "labels_container_id_containers_id_fk" FOREIGN KEY ("container_id") REFERENCES "public"."containers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "labels" ADD CONSTRAINT "labels_formula" FOREIGN KEY ("formula_id","maker_id") REFERENCES "public"."formulas"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "labels_container" ON "labels" USING btree ("container_id");