ALTER TABLE "versions" ADD COLUMN "measured_ph" numeric;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "measured_density" numeric;--> statement-breakpoint
ALTER TABLE "versions" ADD CONSTRAINT "versions_measured" CHECK ("versions"."measured_ph" between 0 and 14 and "versions"."measured_density" between 0.1 and 3);