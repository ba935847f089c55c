-- Tables by the words of the screens; what they hold stays.
ALTER TABLE "finding_answers" RENAME TO "acknowledgements";--> statement-breakpoint
ALTER TABLE "acknowledgements" RENAME CONSTRAINT "finding_answers_pkey" TO "acknowledgements_pkey";--> statement-breakpoint
ALTER TABLE "acknowledgements" RENAME CONSTRAINT "finding_answers_formula" TO "acknowledgements_formula";--> statement-breakpoint
ALTER TABLE "acknowledgements" RENAME CONSTRAINT "finding_answers_code" TO "acknowledgements_code";--> statement-breakpoint
ALTER TABLE "acknowledgements" RENAME CONSTRAINT "finding_answers_says_length" TO "acknowledgements_says_length";--> statement-breakpoint
ALTER TABLE "acknowledgements" RENAME CONSTRAINT "finding_answers_reason_length" TO "acknowledgements_reason_length";--> statement-breakpoint
ALTER TABLE "jars" RENAME TO "salt_samples";--> statement-breakpoint
ALTER TABLE "salt_samples" RENAME CONSTRAINT "jars_pkey" TO "salt_samples_pkey";--> statement-breakpoint
ALTER TABLE "salt_samples" RENAME CONSTRAINT "jars_maker_id_makers_id_fk" TO "salt_samples_maker_id_makers_id_fk";--> statement-breakpoint
ALTER TABLE "salt_samples" RENAME CONSTRAINT "jars_base_hash" TO "salt_samples_base_hash";--> statement-breakpoint
ALTER TABLE "salt_samples" RENAME CONSTRAINT "jars_salt" TO "salt_samples_salt";--> statement-breakpoint
ALTER TABLE "salt_samples" RENAME CONSTRAINT "jars_viscosity" TO "salt_samples_viscosity";--> statement-breakpoint
ALTER TABLE "salt_samples" RENAME CONSTRAINT "jars_unit" TO "salt_samples_unit";--> statement-breakpoint
ALTER TABLE "salt_samples" RENAME CONSTRAINT "jars_said_length" TO "salt_samples_said_length";--> statement-breakpoint
ALTER INDEX "jars_base" RENAME TO "salt_samples_base";
--> statement-breakpoint
-- An acknowledgement belongs to the facts of a finding. One that was kept by its sentence keeps it, and counts as long as its numbers do.
ALTER TABLE "acknowledgements" RENAME COLUMN "says" TO "fingerprint";--> statement-breakpoint
ALTER TABLE "acknowledgements" DROP CONSTRAINT "acknowledgements_says_length";--> statement-breakpoint
UPDATE "acknowledgements" SET "fingerprint" = 'said:' || "fingerprint";--> statement-breakpoint
ALTER TABLE "acknowledgements" ADD CONSTRAINT "acknowledgements_fingerprint" CHECK ("acknowledgements"."fingerprint" ~ '^([0-9a-f]{64}|said:.+)$' and char_length("acknowledgements"."fingerprint") <= 1005);
--> statement-breakpoint
-- A formula may have no name yet.
ALTER TABLE "formulas" DROP CONSTRAINT "formulas_name_length";--> statement-breakpoint
ALTER TABLE "formulas" ADD CONSTRAINT "formulas_name_length" CHECK (char_length("formulas"."name") <= 120);
