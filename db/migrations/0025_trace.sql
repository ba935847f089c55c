CREATE TABLE "given_containers" (
	"batch_id" uuid NOT NULL,
	"maker_id" uuid NOT NULL,
	"row_id" text NOT NULL,
	"to_whom" text NOT NULL,
	CONSTRAINT "given_containers_pkey" PRIMARY KEY("batch_id","row_id"),
	CONSTRAINT "given_containers_length" CHECK (char_length("given_containers"."to_whom") between 1 and 300 and char_length("given_containers"."row_id") <= 200)
);
--> statement-breakpoint
ALTER TABLE "lots" ADD COLUMN "on_hold" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "given_containers" ADD CONSTRAINT "given_containers_batch" FOREIGN KEY ("batch_id","maker_id") REFERENCES "public"."batches"("id","maker_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lots" ADD CONSTRAINT "lots_on_hold_length" CHECK (char_length("lots"."on_hold") <= 200);