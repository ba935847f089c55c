ALTER TABLE "checks" ADD COLUMN "room_c" numeric;--> statement-breakpoint
ALTER TABLE "checks" ADD CONSTRAINT "checks_room" CHECK ("checks"."room_c" between -10 and 60);