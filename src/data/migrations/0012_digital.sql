ALTER TABLE "observation" ADD COLUMN "digital" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "observation" ADD COLUMN "guess" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "observation" ADD COLUMN "slips" jsonb;