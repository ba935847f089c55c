CREATE TABLE "finding_answers" (
	"formula_id" uuid NOT NULL,
	"maker_id" uuid NOT NULL,
	"code" text NOT NULL,
	"says" text NOT NULL,
	"reason" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "finding_answers_pkey" PRIMARY KEY("formula_id","code","says"),
	CONSTRAINT "finding_answers_code" CHECK ("finding_answers"."code" ~ '^[A-Z_]{2,40}$'),
	CONSTRAINT "finding_answers_says_length" CHECK (char_length("finding_answers"."says") between 1 and 1000),
	CONSTRAINT "finding_answers_reason_length" CHECK (char_length("finding_answers"."reason") between 1 and 500)
);
--> statement-breakpoint
ALTER TABLE "phases" ADD COLUMN "temperature_c" numeric;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "school" text DEFAULT 'none' NOT NULL;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "eye_area" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "look" text DEFAULT 'any' NOT NULL;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "left_on" boolean;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "for_whom" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "thickness" text DEFAULT 'any' NOT NULL;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "without" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "close_to" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "finding_answers" ADD CONSTRAINT "finding_answers_formula" FOREIGN KEY ("formula_id","maker_id") REFERENCES "public"."formulas"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "phases" ADD CONSTRAINT "phases_temperature" CHECK ("phases"."temperature_c" >= -20 and "phases"."temperature_c" <= 150);--> statement-breakpoint
ALTER TABLE "versions" ADD CONSTRAINT "versions_school" CHECK ("versions"."school" in ('plant-only', 'sulfate-free', 'classic', 'true-soap', 'none'));--> statement-breakpoint
ALTER TABLE "versions" ADD CONSTRAINT "versions_look" CHECK ("versions"."look" in ('any', 'clear', 'creamy'));--> statement-breakpoint
ALTER TABLE "versions" ADD CONSTRAINT "versions_thickness" CHECK ("versions"."thickness" in ('any', 'water-thin', 'syrup', 'pump-gel', 'thick-gel', 'spoon-standing'));--> statement-breakpoint
ALTER TABLE "versions" ADD CONSTRAINT "versions_aim_words" CHECK (char_length("versions"."for_whom") <= 120 and char_length("versions"."close_to") <= 120);--> statement-breakpoint
ALTER TABLE "versions" ADD CONSTRAINT "versions_without" CHECK (cardinality("versions"."without") <= 20);