CREATE TABLE "jars" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"base" text NOT NULL,
	"salt_percent" numeric NOT NULL,
	"viscosity" numeric NOT NULL,
	"unit" text NOT NULL,
	"said" text DEFAULT '' NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "jars_base_hash" CHECK ("jars"."base" ~ '^[0-9a-f]{64}$'),
	CONSTRAINT "jars_salt" CHECK ("jars"."salt_percent" >= 0 and "jars"."salt_percent" <= 30),
	CONSTRAINT "jars_viscosity" CHECK ("jars"."viscosity" > 0 and "jars"."viscosity" <= 100000),
	CONSTRAINT "jars_unit" CHECK ("jars"."unit" in ('Pa·s', 's')),
	CONSTRAINT "jars_said_length" CHECK (char_length("jars"."said") <= 120)
);
--> statement-breakpoint
ALTER TABLE "batch_entries" DROP CONSTRAINT "batch_entries_kind";--> statement-breakpoint
ALTER TABLE "makers" ADD COLUMN "funnel_k" numeric;--> statement-breakpoint
ALTER TABLE "makers" ADD COLUMN "funnel_c" numeric;--> statement-breakpoint
ALTER TABLE "jars" ADD CONSTRAINT "jars_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "jars_base" ON "jars" USING btree ("maker_id","base");--> statement-breakpoint
ALTER TABLE "batch_entries" ADD CONSTRAINT "batch_entries_kind" CHECK ("batch_entries"."kind" in ('tared', 'weighed', 'measured', 'calibrated', 'ph-read', 'dosed', 'thickness-read', 'salted', 'drops-weighed', 'thickened', 'accepted', 'corrected', 'done', 'skipped', 'noted', 'photographed', 'timer', 'wait-ended', 'paused', 'resumed', 'taken-back', 'finished'));--> statement-breakpoint
ALTER TABLE "makers" ADD CONSTRAINT "makers_funnel" CHECK (("makers"."funnel_k" is null) = ("makers"."funnel_c" is null));--> statement-breakpoint
ALTER TABLE "makers" ADD CONSTRAINT "makers_funnel_constants" CHECK ("makers"."funnel_k" > 0 and "makers"."funnel_c" >= 0);