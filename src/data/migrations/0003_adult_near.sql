ALTER TABLE "grouping_group" ADD COLUMN "with_adult" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "pupil" ADD COLUMN "adult_near" boolean DEFAULT false NOT NULL;