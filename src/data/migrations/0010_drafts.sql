CREATE TABLE "draft" (
	"class_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"revision" uuid NOT NULL,
	"history" jsonb NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "draft_class_id_kind_pk" PRIMARY KEY("class_id","kind")
);
--> statement-breakpoint
ALTER TABLE "draft" ADD CONSTRAINT "draft_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;