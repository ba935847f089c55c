CREATE TABLE "batch_entries" (
	"id" uuid PRIMARY KEY NOT NULL,
	"batch_id" uuid NOT NULL,
	"maker_id" uuid NOT NULL,
	"position" bigserial NOT NULL,
	"kind" text NOT NULL,
	"entry" jsonb NOT NULL,
	"stored_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "batch_entries_kind" CHECK ("batch_entries"."kind" in ('tared', 'weighed', 'accepted', 'corrected', 'done', 'skipped', 'noted', 'taken-back', 'finished')),
	CONSTRAINT "batch_entries_agree" CHECK ("batch_entries"."entry" ->> 'kind' = "batch_entries"."kind" and "batch_entries"."entry" ->> 'id' = "batch_entries"."id"::text)
);
--> statement-breakpoint
CREATE TABLE "batch_lots" (
	"batch_id" uuid NOT NULL,
	"maker_id" uuid NOT NULL,
	"line_id" text NOT NULL,
	"lot_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"grams" numeric NOT NULL,
	CONSTRAINT "batch_lots_pkey" PRIMARY KEY("batch_id","line_id","lot_id"),
	CONSTRAINT "batch_lots_grams" CHECK ("batch_lots"."grams" > 0 and "batch_lots"."grams" <= 1000000)
);
--> statement-breakpoint
CREATE TABLE "batches" (
	"id" uuid PRIMARY KEY NOT NULL,
	"maker_id" uuid NOT NULL,
	"version_id" uuid,
	"code" text NOT NULL,
	"formula" jsonb NOT NULL,
	"steps" jsonb NOT NULL,
	"vessels" jsonb NOT NULL,
	"core_version" text NOT NULL,
	"started_at" timestamp with time zone DEFAULT now() NOT NULL,
	"finished_at" timestamp with time zone,
	CONSTRAINT "batches_id_maker" UNIQUE("id","maker_id"),
	CONSTRAINT "batches_maker_code" UNIQUE("maker_id","code"),
	CONSTRAINT "batches_code_length" CHECK (char_length("batches"."code") between 1 and 60)
);
--> statement-breakpoint
ALTER TABLE "movements" ADD COLUMN "batch_id" uuid;--> statement-breakpoint
ALTER TABLE "batch_entries" ADD CONSTRAINT "batch_entries_batch" FOREIGN KEY ("batch_id","maker_id") REFERENCES "public"."batches"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "batch_lots" ADD CONSTRAINT "batch_lots_batch" FOREIGN KEY ("batch_id","maker_id") REFERENCES "public"."batches"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "batch_lots" ADD CONSTRAINT "batch_lots_lot" FOREIGN KEY ("lot_id","maker_id") REFERENCES "public"."lots"("id","maker_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "batches" ADD CONSTRAINT "batches_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "batches" ADD CONSTRAINT "batches_version_id_versions_id_fk" FOREIGN KEY ("version_id") REFERENCES "public"."versions"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "batch_entries_batch_position" ON "batch_entries" USING btree ("batch_id","position");--> statement-breakpoint
CREATE INDEX "batches_version" ON "batches" USING btree ("version_id");--> statement-breakpoint
CREATE INDEX "movements_batch" ON "movements" USING btree ("batch_id");--> statement-breakpoint
ALTER TABLE "movements" ADD CONSTRAINT "movements_batch_of_maker" FOREIGN KEY ("batch_id","maker_id") REFERENCES "public"."batches"("id","maker_id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
-- A batch is made from a version of its own maker.
CREATE FUNCTION "refuse_foreign_version"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF NOT EXISTS (SELECT 1 FROM versions WHERE id = NEW.version_id AND maker_id = NEW.maker_id AND state = 'set') THEN
    RAISE EXCEPTION 'version % is not a set version of this maker', NEW.version_id USING ERRCODE = 'foreign_key_violation';
  END IF;
  RETURN NEW;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "batches_of_own_versions" BEFORE INSERT ON "batches"
  FOR EACH ROW EXECUTE FUNCTION "refuse_foreign_version"();
--> statement-breakpoint
-- An entry is never changed, and goes only together with its whole batch.
CREATE FUNCTION "refuse_change_of_entry"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'DELETE' AND NOT EXISTS (SELECT 1 FROM batches WHERE id = OLD.batch_id) THEN
    RETURN OLD;
  END IF;
  RAISE EXCEPTION 'entry % stands; take it back by another', OLD.id USING ERRCODE = 'restrict_violation';
END
$$;
--> statement-breakpoint
CREATE TRIGGER "batch_entries_stay" BEFORE UPDATE OR DELETE ON "batch_entries"
  FOR EACH ROW EXECUTE FUNCTION "refuse_change_of_entry"();
