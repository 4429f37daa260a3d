CREATE TABLE "adult" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "attendance" (
	"class_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"pupil_id" uuid NOT NULL,
	"absent" boolean NOT NULL,
	CONSTRAINT "attendance_session_id_pupil_id_pk" PRIMARY KEY("session_id","pupil_id")
);
--> statement-breakpoint
CREATE TABLE "classroom" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"year_group" text NOT NULL,
	"time_zone" text DEFAULT 'Europe/London' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "estimate" (
	"class_id" uuid NOT NULL,
	"pupil_id" uuid NOT NULL,
	"strand" text NOT NULL,
	"day" date NOT NULL,
	"mean" double precision NOT NULL,
	"sd" double precision NOT NULL,
	"p10" double precision NOT NULL,
	"p50" double precision NOT NULL,
	"p90" double precision NOT NULL,
	"secure" double precision[] NOT NULL,
	"struggling" double precision[] NOT NULL,
	"right_alone" double precision[] NOT NULL,
	"working_step" smallint,
	"observations" integer NOT NULL,
	"density" "bytea" NOT NULL,
	CONSTRAINT "estimate_pupil_id_strand_pk" PRIMARY KEY("pupil_id","strand")
);
--> statement-breakpoint
CREATE TABLE "estimate_day" (
	"class_id" uuid NOT NULL,
	"pupil_id" uuid NOT NULL,
	"strand" text NOT NULL,
	"day" date NOT NULL,
	"p10" double precision NOT NULL,
	"p50" double precision NOT NULL,
	"p90" double precision NOT NULL,
	CONSTRAINT "estimate_day_pupil_id_strand_day_pk" PRIMARY KEY("pupil_id","strand","day")
);
--> statement-breakpoint
CREATE TABLE "group_member" (
	"class_id" uuid NOT NULL,
	"grouping_id" uuid NOT NULL,
	"position" smallint NOT NULL,
	"pupil_id" uuid NOT NULL,
	CONSTRAINT "group_member_grouping_id_pupil_id_pk" PRIMARY KEY("grouping_id","pupil_id")
);
--> statement-breakpoint
CREATE TABLE "grouping" (
	"id" uuid PRIMARY KEY NOT NULL,
	"class_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"day" date NOT NULL,
	"strand" text NOT NULL,
	"game_id" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "grouping_classId_version_unique" UNIQUE("class_id","version")
);
--> statement-breakpoint
CREATE TABLE "grouping_group" (
	"class_id" uuid NOT NULL,
	"grouping_id" uuid NOT NULL,
	"position" smallint NOT NULL,
	"pennant" smallint NOT NULL,
	"level_id" text NOT NULL,
	CONSTRAINT "grouping_group_grouping_id_position_pk" PRIMARY KEY("grouping_id","position")
);
--> statement-breakpoint
CREATE TABLE "membership" (
	"adult_id" uuid NOT NULL,
	"class_id" uuid NOT NULL,
	"role" text NOT NULL,
	CONSTRAINT "membership_adult_id_class_id_pk" PRIMARY KEY("adult_id","class_id")
);
--> statement-breakpoint
CREATE TABLE "observation" (
	"id" uuid PRIMARY KEY NOT NULL,
	"class_id" uuid NOT NULL,
	"pupil_id" uuid NOT NULL,
	"adult_id" uuid NOT NULL,
	"visit_id" uuid,
	"strand" text NOT NULL,
	"step" smallint NOT NULL,
	"judged" text,
	"right" smallint,
	"of" smallint,
	"weight" double precision DEFAULT 1 NOT NULL,
	"school_day" date NOT NULL,
	"corrects" uuid,
	"made_at" timestamp with time zone NOT NULL,
	"stored_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "observation_corrects_unique" UNIQUE("corrects")
);
--> statement-breakpoint
CREATE TABLE "placement" (
	"class_id" uuid NOT NULL,
	"pupil_id" uuid NOT NULL,
	"strand" text NOT NULL,
	"step" smallint NOT NULL,
	"sureness" text NOT NULL,
	"day" date NOT NULL,
	CONSTRAINT "placement_pupil_id_strand_pk" PRIMARY KEY("pupil_id","strand")
);
--> statement-breakpoint
CREATE TABLE "pupil" (
	"id" uuid PRIMARY KEY NOT NULL,
	"class_id" uuid NOT NULL,
	"name" text NOT NULL,
	"initial" text DEFAULT '' NOT NULL,
	"year_group" text NOT NULL,
	"left_at" timestamp with time zone,
	CONSTRAINT "pupil_classId_id_unique" UNIQUE("class_id","id")
);
--> statement-breakpoint
CREATE TABLE "pupil_link" (
	"class_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"pupil_a" uuid NOT NULL,
	"pupil_b" uuid NOT NULL,
	CONSTRAINT "pupil_link_class_id_pupil_a_pupil_b_pk" PRIMARY KEY("class_id","pupil_a","pupil_b")
);
--> statement-breakpoint
CREATE TABLE "station" (
	"class_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"position" smallint NOT NULL,
	"game_id" text NOT NULL,
	"mode" text NOT NULL,
	CONSTRAINT "station_session_id_position_pk" PRIMARY KEY("session_id","position")
);
--> statement-breakpoint
CREATE TABLE "station_session" (
	"id" uuid PRIMARY KEY NOT NULL,
	"class_id" uuid NOT NULL,
	"grouping_id" uuid NOT NULL,
	"day" date NOT NULL,
	"starts_at" text NOT NULL,
	"slots" smallint NOT NULL,
	"slot_minutes" smallint NOT NULL,
	"state" text DEFAULT 'planned' NOT NULL,
	"slot" smallint DEFAULT 0 NOT NULL,
	"slot_started_at" timestamp with time zone,
	"paused_at" timestamp with time zone,
	"extra_minutes" smallint DEFAULT 0 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "visit" (
	"class_id" uuid NOT NULL,
	"id" uuid PRIMARY KEY NOT NULL,
	"session_id" uuid NOT NULL,
	"slot" smallint NOT NULL,
	"station" smallint NOT NULL,
	"group" smallint NOT NULL,
	"level_id" text NOT NULL,
	"sets" jsonb NOT NULL,
	CONSTRAINT "visit_sessionId_slot_group_unique" UNIQUE("session_id","slot","group")
);
--> statement-breakpoint
ALTER TABLE "attendance" ADD CONSTRAINT "attendance_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attendance" ADD CONSTRAINT "attendance_session_id_station_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."station_session"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attendance" ADD CONSTRAINT "attendance_pupil_id_pupil_id_fk" FOREIGN KEY ("pupil_id") REFERENCES "public"."pupil"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "estimate" ADD CONSTRAINT "estimate_class_id_pupil_id_pupil_class_id_id_fk" FOREIGN KEY ("class_id","pupil_id") REFERENCES "public"."pupil"("class_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "estimate_day" ADD CONSTRAINT "estimate_day_class_id_pupil_id_pupil_class_id_id_fk" FOREIGN KEY ("class_id","pupil_id") REFERENCES "public"."pupil"("class_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "group_member" ADD CONSTRAINT "group_member_grouping_id_position_grouping_group_grouping_id_position_fk" FOREIGN KEY ("grouping_id","position") REFERENCES "public"."grouping_group"("grouping_id","position") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "group_member" ADD CONSTRAINT "group_member_class_id_pupil_id_pupil_class_id_id_fk" FOREIGN KEY ("class_id","pupil_id") REFERENCES "public"."pupil"("class_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "grouping" ADD CONSTRAINT "grouping_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "grouping_group" ADD CONSTRAINT "grouping_group_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "grouping_group" ADD CONSTRAINT "grouping_group_grouping_id_grouping_id_fk" FOREIGN KEY ("grouping_id") REFERENCES "public"."grouping"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "membership" ADD CONSTRAINT "membership_adult_id_adult_id_fk" FOREIGN KEY ("adult_id") REFERENCES "public"."adult"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "membership" ADD CONSTRAINT "membership_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "observation_adult_id_adult_id_fk" FOREIGN KEY ("adult_id") REFERENCES "public"."adult"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "observation_class_id_pupil_id_pupil_class_id_id_fk" FOREIGN KEY ("class_id","pupil_id") REFERENCES "public"."pupil"("class_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "placement" ADD CONSTRAINT "placement_class_id_pupil_id_pupil_class_id_id_fk" FOREIGN KEY ("class_id","pupil_id") REFERENCES "public"."pupil"("class_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pupil" ADD CONSTRAINT "pupil_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pupil_link" ADD CONSTRAINT "pupil_link_class_id_pupil_a_pupil_class_id_id_fk" FOREIGN KEY ("class_id","pupil_a") REFERENCES "public"."pupil"("class_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pupil_link" ADD CONSTRAINT "pupil_link_class_id_pupil_b_pupil_class_id_id_fk" FOREIGN KEY ("class_id","pupil_b") REFERENCES "public"."pupil"("class_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "station" ADD CONSTRAINT "station_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "station" ADD CONSTRAINT "station_session_id_station_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."station_session"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "station_session" ADD CONSTRAINT "station_session_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "station_session" ADD CONSTRAINT "station_session_grouping_id_grouping_id_fk" FOREIGN KEY ("grouping_id") REFERENCES "public"."grouping"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit" ADD CONSTRAINT "visit_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit" ADD CONSTRAINT "visit_session_id_station_station_session_id_position_fk" FOREIGN KEY ("session_id","station") REFERENCES "public"."station"("session_id","position") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "estimate_class_id_index" ON "estimate" USING btree ("class_id");--> statement-breakpoint
CREATE INDEX "estimate_day_class_id_strand_index" ON "estimate_day" USING btree ("class_id","strand");--> statement-breakpoint
CREATE INDEX "observation_class_id_pupil_id_strand_index" ON "observation" USING btree ("class_id","pupil_id","strand");--> statement-breakpoint
CREATE INDEX "observation_visit_id_index" ON "observation" USING btree ("visit_id");--> statement-breakpoint
CREATE INDEX "pupil_class_id_index" ON "pupil" USING btree ("class_id");--> statement-breakpoint
CREATE INDEX "station_session_class_id_day_index" ON "station_session" USING btree ("class_id","day");--> statement-breakpoint
CREATE INDEX "visit_class_id_index" ON "visit" USING btree ("class_id");