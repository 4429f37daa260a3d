CREATE TABLE "bag_item" (
	"class_id" uuid NOT NULL,
	"item" text NOT NULL,
	"count" integer NOT NULL,
	"missing" integer DEFAULT 0 NOT NULL,
	"laminated" boolean DEFAULT false NOT NULL,
	CONSTRAINT "bag_item_class_id_item_pk" PRIMARY KEY("class_id","item")
);
--> statement-breakpoint
ALTER TABLE "bag_item" ADD CONSTRAINT "bag_item_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;