CREATE TABLE "formulas" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "formulas_id_maker" UNIQUE("id","maker_id"),
	CONSTRAINT "formulas_name_length" CHECK (char_length("formulas"."name") between 1 and 120)
);
--> statement-breakpoint
CREATE TABLE "lines" (
	"id" uuid NOT NULL,
	"version_id" uuid NOT NULL,
	"maker_id" uuid NOT NULL,
	"phase_letter" text NOT NULL,
	"material_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"percent" numeric,
	"takes_the_rest" boolean NOT NULL,
	"assay_percent" numeric,
	CONSTRAINT "lines_pkey" PRIMARY KEY("version_id","id"),
	CONSTRAINT "lines_percent" CHECK ("lines"."percent" >= 0 and "lines"."percent" <= 100),
	CONSTRAINT "lines_assay" CHECK ("lines"."assay_percent" > 0 and "lines"."assay_percent" <= 100),
	CONSTRAINT "lines_rest_has_no_percent" CHECK (not ("lines"."takes_the_rest" and "lines"."percent" is not null))
);
--> statement-breakpoint
CREATE TABLE "phases" (
	"version_id" uuid NOT NULL,
	"maker_id" uuid NOT NULL,
	"letter" text NOT NULL,
	"title" text NOT NULL,
	"position" integer NOT NULL,
	CONSTRAINT "phases_pkey" PRIMARY KEY("version_id","letter"),
	CONSTRAINT "phases_letter" CHECK ("phases"."letter" ~ '^[A-Z]$'),
	CONSTRAINT "phases_title_length" CHECK (char_length("phases"."title") <= 40)
);
--> statement-breakpoint
CREATE TABLE "versions" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"formula_id" uuid NOT NULL,
	"parent_id" uuid,
	"number" integer NOT NULL,
	"state" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"profile" text NOT NULL,
	"batch_grams" numeric NOT NULL,
	"revision" integer DEFAULT 0 NOT NULL,
	"assessment" jsonb NOT NULL,
	"core_version" text NOT NULL,
	"snapshot" jsonb,
	"active_percent" numeric NOT NULL,
	"stop_count" integer NOT NULL,
	"fix_count" integer NOT NULL,
	"consider_count" integer NOT NULL,
	"line_count" integer NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"set_at" timestamp with time zone,
	CONSTRAINT "versions_id_formula" UNIQUE("id","formula_id"),
	CONSTRAINT "versions_id_maker" UNIQUE("id","maker_id"),
	CONSTRAINT "versions_formula_number" UNIQUE("formula_id","number"),
	CONSTRAINT "versions_number" CHECK ("versions"."number" > 0),
	CONSTRAINT "versions_note_length" CHECK (char_length("versions"."note") <= 2000),
	CONSTRAINT "versions_batch" CHECK ("versions"."batch_grams" > 0 and "versions"."batch_grams" <= 1000000),
	CONSTRAINT "versions_state" CHECK ("versions"."state" in ('draft', 'set')),
	CONSTRAINT "versions_set_is_complete" CHECK (("versions"."state" = 'set') = ("versions"."snapshot" is not null) and ("versions"."state" = 'set') = ("versions"."set_at" is not null))
);
--> statement-breakpoint
CREATE TABLE "makers" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"demo_decided_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "makers_name_length" CHECK (char_length("makers"."name") between 1 and 120)
);
--> statement-breakpoint
CREATE TABLE "materials" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"maker_id" uuid,
	"based_on_id" uuid,
	"slug" text NOT NULL,
	"name" text NOT NULL,
	"role" text NOT NULL,
	"charge" text,
	"inci_names" text NOT NULL,
	"facts" jsonb NOT NULL,
	"library_version" text,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "materials_maker_slug" UNIQUE NULLS NOT DISTINCT("maker_id","slug"),
	CONSTRAINT "materials_name_length" CHECK (char_length("materials"."name") between 1 and 200),
	CONSTRAINT "materials_slug_form" CHECK ("materials"."slug" ~ '^[a-z0-9]+(-[a-z0-9]+)*$' and char_length("materials"."slug") <= 120),
	CONSTRAINT "materials_charge" CHECK ("materials"."charge" is null or "materials"."charge" in ('anionic', 'amphoteric', 'nonionic', 'cationic')),
	CONSTRAINT "materials_facts_agree" CHECK ("materials"."facts" ->> 'slug' = "materials"."slug" and "materials"."facts" ->> 'name' = "materials"."name"),
	CONSTRAINT "materials_reference_or_own" CHECK (("materials"."maker_id" is null) = ("materials"."library_version" is not null)),
	CONSTRAINT "materials_based_on_is_own" CHECK ("materials"."based_on_id" is null or "materials"."maker_id" is not null)
);
--> statement-breakpoint
CREATE TABLE "scales" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"name" text NOT NULL,
	"readability_grams" numeric NOT NULL,
	"capacity_grams" numeric NOT NULL,
	"position" integer NOT NULL,
	CONSTRAINT "scales_maker_name" UNIQUE("maker_id","name"),
	CONSTRAINT "scales_name_length" CHECK (char_length("scales"."name") between 1 and 60),
	CONSTRAINT "scales_readability" CHECK ("scales"."readability_grams" > 0 and "scales"."readability_grams" <= 1000),
	CONSTRAINT "scales_capacity" CHECK ("scales"."capacity_grams" > "scales"."readability_grams")
);
--> statement-breakpoint
ALTER TABLE "formulas" ADD CONSTRAINT "formulas_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lines" ADD CONSTRAINT "lines_material_id_materials_id_fk" FOREIGN KEY ("material_id") REFERENCES "public"."materials"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lines" ADD CONSTRAINT "lines_version" FOREIGN KEY ("version_id","maker_id") REFERENCES "public"."versions"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lines" ADD CONSTRAINT "lines_phase" FOREIGN KEY ("version_id","phase_letter") REFERENCES "public"."phases"("version_id","letter") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "phases" ADD CONSTRAINT "phases_version" FOREIGN KEY ("version_id","maker_id") REFERENCES "public"."versions"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "versions" ADD CONSTRAINT "versions_formula" FOREIGN KEY ("formula_id","maker_id") REFERENCES "public"."formulas"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "versions" ADD CONSTRAINT "versions_parent" FOREIGN KEY ("parent_id","formula_id") REFERENCES "public"."versions"("id","formula_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "materials" ADD CONSTRAINT "materials_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "materials" ADD CONSTRAINT "materials_based_on_id_materials_id_fk" FOREIGN KEY ("based_on_id") REFERENCES "public"."materials"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "scales" ADD CONSTRAINT "scales_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "formulas_maker_updated" ON "formulas" USING btree ("maker_id","updated_at");--> statement-breakpoint
CREATE INDEX "lines_material" ON "lines" USING btree ("material_id");--> statement-breakpoint
CREATE UNIQUE INDEX "lines_one_takes_the_rest" ON "lines" USING btree ("version_id") WHERE takes_the_rest;--> statement-breakpoint
CREATE UNIQUE INDEX "versions_one_draft" ON "versions" USING btree ("formula_id") WHERE state = 'draft';--> statement-breakpoint
CREATE INDEX "materials_role" ON "materials" USING btree ("role");