CREATE TABLE "feeds" (
	"maker_id" uuid PRIMARY KEY NOT NULL,
	"token_hash" text NOT NULL,
	"since" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "feeds_token_hash_unique" UNIQUE("token_hash"),
	CONSTRAINT "feeds_token_hash" CHECK ("feeds"."token_hash" ~ '^[0-9a-f]{64}$')
);
--> statement-breakpoint
ALTER TABLE "feeds" ADD CONSTRAINT "feeds_maker_id_makers_id_fk" FOREIGN KEY ("maker_id") REFERENCES "public"."makers"("id") ON DELETE cascade ON UPDATE no action;