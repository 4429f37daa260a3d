CREATE TABLE "house_style" (
	"class_id" uuid PRIMARY KEY NOT NULL,
	"style" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "group_member" ADD COLUMN "locked" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "group_member" ADD COLUMN "pair" smallint;--> statement-breakpoint
ALTER TABLE "grouping" ADD COLUMN "mode" text DEFAULT 'similar' NOT NULL;--> statement-breakpoint
ALTER TABLE "station" ADD COLUMN "places" smallint;--> statement-breakpoint
ALTER TABLE "station_session" ADD COLUMN "around" jsonb DEFAULT '{"warmUp":0,"show":0,"move":2,"tidy":0,"talk":0,"lesson":null}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "station_session" ADD COLUMN "adults" smallint DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "visit" ADD COLUMN "own_levels" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "visit" ADD COLUMN "pinned" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "house_style" ADD CONSTRAINT "house_style_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;