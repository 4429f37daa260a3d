CREATE TABLE "school" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "note" (
	"id" uuid PRIMARY KEY NOT NULL,
	"class_id" uuid NOT NULL,
	"pupil_id" uuid NOT NULL,
	"adult_id" uuid NOT NULL,
	"link_id" uuid,
	"visit_id" uuid,
	"words" text NOT NULL,
	"tags" text[] NOT NULL,
	"school_day" date NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"stored_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "finished_game" (
	"id" uuid PRIMARY KEY NOT NULL,
	"class_id" uuid NOT NULL,
	"visit_id" uuid NOT NULL,
	"minutes" double precision NOT NULL,
	"made_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "visit_liking" (
	"class_id" uuid NOT NULL,
	"visit_id" uuid PRIMARY KEY NOT NULL,
	"liked" boolean NOT NULL,
	"told_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "invitation" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"school_id" uuid NOT NULL,
	"class_id" uuid,
	"role" text NOT NULL,
	"made_by" uuid NOT NULL,
	"until" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "link" (
	"id" uuid PRIMARY KEY NOT NULL,
	"class_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"station_id" uuid,
	"kind" text NOT NULL,
	"with_names" boolean DEFAULT false NOT NULL,
	"token_hash" text NOT NULL,
	"code_hash" text,
	"made_by" uuid NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	"until" timestamp with time zone NOT NULL,
	CONSTRAINT "link_tokenHash_unique" UNIQUE("token_hash"),
	CONSTRAINT "link_codeHash_unique" UNIQUE("code_hash")
);
--> statement-breakpoint
CREATE TABLE "signed_in" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"adult_id" uuid NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	"until" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "adult" ADD COLUMN "school_id" uuid;--> statement-breakpoint
ALTER TABLE "adult" ADD COLUMN "office" text;--> statement-breakpoint
ALTER TABLE "adult" ADD COLUMN "sign_in_name" text;--> statement-breakpoint
ALTER TABLE "adult" ADD COLUMN "password" text;--> statement-breakpoint
ALTER TABLE "classroom" ADD COLUMN "school_id" uuid;--> statement-breakpoint
ALTER TABLE "observation" ADD COLUMN "link_id" uuid;--> statement-breakpoint
ALTER TABLE "observation" ADD COLUMN "how" jsonb;--> statement-breakpoint
ALTER TABLE "attendance" ADD COLUMN "from_slot" smallint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "attendance" ADD COLUMN "told_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "station_session" ADD COLUMN "before_replan" jsonb;--> statement-breakpoint
ALTER TABLE "note" ADD CONSTRAINT "note_adult_id_adult_id_fk" FOREIGN KEY ("adult_id") REFERENCES "public"."adult"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "note" ADD CONSTRAINT "note_class_id_pupil_id_pupil_class_id_id_fk" FOREIGN KEY ("class_id","pupil_id") REFERENCES "public"."pupil"("class_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "finished_game" ADD CONSTRAINT "finished_game_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "finished_game" ADD CONSTRAINT "finished_game_visit_id_visit_id_fk" FOREIGN KEY ("visit_id") REFERENCES "public"."visit"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit_liking" ADD CONSTRAINT "visit_liking_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit_liking" ADD CONSTRAINT "visit_liking_visit_id_visit_id_fk" FOREIGN KEY ("visit_id") REFERENCES "public"."visit"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitation" ADD CONSTRAINT "invitation_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitation" ADD CONSTRAINT "invitation_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitation" ADD CONSTRAINT "invitation_made_by_adult_id_fk" FOREIGN KEY ("made_by") REFERENCES "public"."adult"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "link" ADD CONSTRAINT "link_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "link" ADD CONSTRAINT "link_session_id_station_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."station_session"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "link" ADD CONSTRAINT "link_station_id_station_id_fk" FOREIGN KEY ("station_id") REFERENCES "public"."station"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "link" ADD CONSTRAINT "link_made_by_adult_id_fk" FOREIGN KEY ("made_by") REFERENCES "public"."adult"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "signed_in" ADD CONSTRAINT "signed_in_adult_id_adult_id_fk" FOREIGN KEY ("adult_id") REFERENCES "public"."adult"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "note_pupil_id_index" ON "note" USING btree ("pupil_id");--> statement-breakpoint
CREATE INDEX "finished_game_class_id_index" ON "finished_game" USING btree ("class_id");--> statement-breakpoint
CREATE INDEX "finished_game_visit_id_index" ON "finished_game" USING btree ("visit_id");--> statement-breakpoint
CREATE INDEX "visit_liking_class_id_index" ON "visit_liking" USING btree ("class_id");--> statement-breakpoint
CREATE INDEX "link_class_id_index" ON "link" USING btree ("class_id");--> statement-breakpoint
CREATE INDEX "link_session_id_index" ON "link" USING btree ("session_id");--> statement-breakpoint
CREATE INDEX "signed_in_adult_id_index" ON "signed_in" USING btree ("adult_id");--> statement-breakpoint
ALTER TABLE "adult" ADD CONSTRAINT "adult_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "classroom" ADD CONSTRAINT "classroom_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "adult" ADD CONSTRAINT "adult_signInName_unique" UNIQUE("sign_in_name");--> statement-breakpoint
INSERT INTO "school" ("id", "name") VALUES ('5ea00000-0000-4000-8000-000000000000', 'School') ON CONFLICT DO NOTHING;--> statement-breakpoint
UPDATE "adult" SET "school_id" = '5ea00000-0000-4000-8000-000000000000';--> statement-breakpoint
UPDATE "adult" SET "office" = 'admin' WHERE "id" = '5ea00000-0000-4000-8000-000000000001';--> statement-breakpoint
UPDATE "classroom" SET "school_id" = '5ea00000-0000-4000-8000-000000000000';
