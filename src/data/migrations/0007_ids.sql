CREATE TABLE "played" (
	"class_id" uuid NOT NULL,
	"pupil_id" uuid NOT NULL,
	"game_id" text NOT NULL,
	"mode" text NOT NULL,
	"day" date NOT NULL,
	CONSTRAINT "played_pupil_id_game_id_mode_pk" PRIMARY KEY("pupil_id","game_id","mode")
);
--> statement-breakpoint
ALTER TABLE "observation" DROP CONSTRAINT "observation_corrects_unique";--> statement-breakpoint
ALTER TABLE "visit" DROP CONSTRAINT "visit_sessionId_slot_group_unique";--> statement-breakpoint
ALTER TABLE "group_member" DROP CONSTRAINT "group_member_grouping_id_position_grouping_group_grouping_id_position_fk";
--> statement-breakpoint
ALTER TABLE "visit" DROP CONSTRAINT "visit_session_id_station_station_session_id_position_fk";
--> statement-breakpoint
DROP INDEX "observation_class_id_pupil_id_strand_index";--> statement-breakpoint
DROP INDEX "visit_class_id_index";--> statement-breakpoint
ALTER TABLE "grouping_group" DROP CONSTRAINT "grouping_group_grouping_id_position_pk";--> statement-breakpoint
ALTER TABLE "station" DROP CONSTRAINT "station_session_id_position_pk";--> statement-breakpoint
ALTER TABLE "estimate" ALTER COLUMN "working_step" SET DATA TYPE text;--> statement-breakpoint
ALTER TABLE "observation" ALTER COLUMN "step" SET DATA TYPE text;--> statement-breakpoint
ALTER TABLE "placement" ALTER COLUMN "step" SET DATA TYPE text;--> statement-breakpoint
-- The ladders as they stood in this version: what was kept as a place on a ladder becomes the id of its step.
CREATE TEMPORARY TABLE "step_at" ("strand" text, "at" text, "step" text) ON COMMIT DROP;
--> statement-breakpoint
INSERT INTO "step_at" SELECT "strand", "at"::text, "step" FROM (VALUES ('count', 0, 'count-5'),
	('count', 1, 'count-10'),
	('count', 2, 'count-20'),
	('count', 3, 'count-30'),
	('count', 4, 'count-100'),
	('count', 5, 'count-120'),
	('count', 6, 'count-1000'),
	('count-back', 0, 'back-5'),
	('count-back', 1, 'back-10'),
	('count-back', 2, 'back-20'),
	('count-back', 3, 'back-100'),
	('numerals', 0, 'numerals-5'),
	('numerals', 1, 'numerals-10'),
	('numerals', 2, 'numerals-20'),
	('numerals', 3, 'numerals-100'),
	('numerals', 4, 'numerals-120'),
	('numerals', 5, 'numerals-1000'),
	('how-many', 0, 'count-out-5'),
	('how-many', 1, 'count-out-10'),
	('how-many', 2, 'see-6'),
	('how-many', 3, 'five-and-some'),
	('how-many', 4, 'count-out-20'),
	('how-many', 5, 'tens-and-ones-100'),
	('order', 0, 'more-5'),
	('order', 1, 'more-10'),
	('order', 2, 'one-more-10'),
	('order', 3, 'order-20'),
	('order', 4, 'order-100'),
	('order', 5, 'order-120'),
	('order', 6, 'order-1000'),
	('add', 0, 'count-all-5'),
	('add', 1, 'take-away-5'),
	('add', 2, 'count-all-10'),
	('add', 3, 'parts-of-5'),
	('add', 4, 'take-away-10'),
	('add', 5, 'count-on-10'),
	('add', 6, 'missing-part-10'),
	('add', 7, 'complements-10'),
	('add', 8, 'count-on-20'),
	('add', 9, 'make-ten-20'),
	('add', 10, 'subtract-20'),
	('add', 11, 'tens-ones-100'),
	('add', 12, 'crossing-100'),
	('add', 13, 'complement-100'),
	('place', 0, 'ten-and-some'),
	('place', 1, 'trade-ten'),
	('place', 2, 'tens-ones'),
	('place', 3, 'ten-more-grid'),
	('place', 4, 'hundreds'),
	('skip-tens', 0, 'tens-50'),
	('skip-tens', 1, 'tens-100'),
	('skip-fives', 0, 'fives-50'),
	('skip-fives', 1, 'fives-100'),
	('skip-twos', 0, 'twos-20'),
	('skip-twos', 1, 'twos-100'),
	('skip-more', 0, 'threes-fours'),
	('skip-more', 1, 'sevens'),
	('facts', 0, 'x2-10-5'),
	('facts', 1, 'x3-4'),
	('facts', 2, 'x6-9'),
	('facts', 3, 'missing-factor'),
	('time', 0, 'hour'),
	('time', 1, 'half-hour'),
	('time', 2, 'quarter'),
	('pattern', 0, 'pattern-ab'),
	('pattern', 1, 'pattern-aab'),
	('pattern', 2, 'pattern-abc')) AS "known" ("strand", "at", "step");
--> statement-breakpoint
UPDATE "observation" SET "step" = "step_at"."step" FROM "step_at" WHERE "step_at"."strand" = "observation"."strand" AND "step_at"."at" = "observation"."step";
--> statement-breakpoint
UPDATE "placement" SET "step" = "step_at"."step" FROM "step_at" WHERE "step_at"."strand" = "placement"."strand" AND "step_at"."at" = "placement"."step";
--> statement-breakpoint
UPDATE "estimate" SET "working_step" = "step_at"."step" FROM "step_at" WHERE "step_at"."strand" = "estimate"."strand" AND "step_at"."at" = "estimate"."working_step";
--> statement-breakpoint
ALTER TABLE "estimate" ADD COLUMN "ladder" text NOT NULL DEFAULT '';--> statement-breakpoint
ALTER TABLE "estimate" ALTER COLUMN "ladder" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "estimate" ADD COLUMN "morning_day" date;--> statement-breakpoint
ALTER TABLE "estimate" ADD COLUMN "morning" "bytea";--> statement-breakpoint
UPDATE "estimate" SET "morning_day" = "day", "morning" = "density";--> statement-breakpoint
ALTER TABLE "estimate" ALTER COLUMN "morning_day" SET NOT NULL, ALTER COLUMN "morning" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "group_member" ADD COLUMN "group_id" uuid;--> statement-breakpoint
ALTER TABLE "grouping_group" ADD COLUMN "id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL;--> statement-breakpoint
ALTER TABLE "grouping_group" ALTER COLUMN "id" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "observation" ADD COLUMN "observer" uuid;--> statement-breakpoint
ALTER TABLE "observation" ADD COLUMN "chain" uuid;--> statement-breakpoint
ALTER TABLE "observation" ADD COLUMN "standing" boolean;--> statement-breakpoint
UPDATE "observation" SET "observer" = "adult_id", "standing" = ("judged" IS NOT NULL OR "of" IS NOT NULL)
	AND NOT EXISTS (SELECT FROM "observation" "later" WHERE "later"."corrects" = "observation"."id");--> statement-breakpoint
WITH RECURSIVE "chained" AS (
	SELECT "id", "id" AS "chain" FROM "observation" WHERE "corrects" IS NULL
	UNION ALL
	SELECT "later"."id", "chained"."chain" FROM "observation" "later" JOIN "chained" ON "later"."corrects" = "chained"."id"
) UPDATE "observation" SET "chain" = "chained"."chain" FROM "chained" WHERE "chained"."id" = "observation"."id";--> statement-breakpoint
UPDATE "observation" SET "chain" = "id" WHERE "chain" IS NULL;--> statement-breakpoint
ALTER TABLE "observation" ALTER COLUMN "observer" SET NOT NULL, ALTER COLUMN "chain" SET NOT NULL, ALTER COLUMN "standing" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "station" ADD COLUMN "id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL;--> statement-breakpoint
ALTER TABLE "station" ALTER COLUMN "id" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "station_session" ADD COLUMN "begun_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "visit" ADD COLUMN "station_id" uuid;--> statement-breakpoint
ALTER TABLE "visit" ADD COLUMN "group_id" uuid;--> statement-breakpoint
UPDATE "group_member" SET "group_id" = "g"."id" FROM "grouping_group" "g" WHERE "g"."grouping_id" = "group_member"."grouping_id" AND "g"."position" = "group_member"."position";--> statement-breakpoint
UPDATE "visit" SET "station_id" = "s"."id" FROM "station" "s" WHERE "s"."session_id" = "visit"."session_id" AND "s"."position" = "visit"."station";--> statement-breakpoint
UPDATE "visit" SET "group_id" = "g"."id" FROM "station_session" "s" JOIN "grouping_group" "g" ON "g"."grouping_id" = "s"."grouping_id" WHERE "s"."id" = "visit"."session_id" AND "g"."position" = "visit"."group";--> statement-breakpoint
ALTER TABLE "group_member" ALTER COLUMN "group_id" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "visit" ALTER COLUMN "station_id" SET NOT NULL, ALTER COLUMN "group_id" SET NOT NULL;--> statement-breakpoint
INSERT INTO "played" ("class_id", "pupil_id", "game_id", "mode", "day")
	SELECT "m"."class_id", "m"."pupil_id", "s"."game_id", "s"."mode", max("t"."day")
	FROM "station_session" "t" JOIN "visit" "v" ON "v"."session_id" = "t"."id" JOIN "station" "s" ON "s"."id" = "v"."station_id"
	JOIN "group_member" "m" ON "m"."group_id" = "v"."group_id"
	WHERE "t"."state" = 'done' AND NOT EXISTS (SELECT FROM "attendance" "a" WHERE "a"."session_id" = "t"."id" AND "a"."pupil_id" = "m"."pupil_id" AND "a"."absent")
	GROUP BY 1, 2, 3, 4;--> statement-breakpoint
ALTER TABLE "played" ADD CONSTRAINT "played_class_id_pupil_id_pupil_class_id_id_fk" FOREIGN KEY ("class_id","pupil_id") REFERENCES "public"."pupil"("class_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "played_class_id_index" ON "played" USING btree ("class_id");--> statement-breakpoint
ALTER TABLE "group_member" ADD CONSTRAINT "group_member_grouping_id_grouping_id_fk" FOREIGN KEY ("grouping_id") REFERENCES "public"."grouping"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "group_member" ADD CONSTRAINT "group_member_group_id_grouping_group_id_fk" FOREIGN KEY ("group_id") REFERENCES "public"."grouping_group"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit" ADD CONSTRAINT "visit_session_id_station_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."station_session"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit" ADD CONSTRAINT "visit_station_id_station_id_fk" FOREIGN KEY ("station_id") REFERENCES "public"."station"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit" ADD CONSTRAINT "visit_group_id_grouping_group_id_fk" FOREIGN KEY ("group_id") REFERENCES "public"."grouping_group"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "group_member_group_id_index" ON "group_member" USING btree ("group_id");--> statement-breakpoint
CREATE INDEX "observation_chain_index" ON "observation" USING btree ("chain");--> statement-breakpoint
CREATE INDEX "observation_history" ON "observation" USING btree ("pupil_id","strand","school_day","made_at");--> statement-breakpoint
CREATE INDEX "observation_seen" ON "observation" USING btree ("class_id","school_day") WHERE "observation"."standing";--> statement-breakpoint
CREATE INDEX "station_session_id_index" ON "station" USING btree ("session_id");--> statement-breakpoint
CREATE INDEX "visit_station_id_index" ON "visit" USING btree ("station_id");--> statement-breakpoint
ALTER TABLE "group_member" DROP COLUMN "position";--> statement-breakpoint
ALTER TABLE "grouping_group" DROP COLUMN "position";--> statement-breakpoint
ALTER TABLE "visit" DROP COLUMN "station";--> statement-breakpoint
ALTER TABLE "visit" DROP COLUMN "group";--> statement-breakpoint
ALTER TABLE "grouping_group" ADD CONSTRAINT "grouping_group_groupingId_pennant_unique" UNIQUE("grouping_id","pennant");--> statement-breakpoint
ALTER TABLE "visit" ADD CONSTRAINT "visit_sessionId_slot_groupId_unique" UNIQUE("session_id","slot","group_id");