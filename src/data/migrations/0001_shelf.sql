CREATE TABLE "shelf_count" (
	"class_id" uuid NOT NULL,
	"item" text NOT NULL,
	"count" integer NOT NULL,
	CONSTRAINT "shelf_count_class_id_item_pk" PRIMARY KEY("class_id","item")
);
--> statement-breakpoint
ALTER TABLE "shelf_count" ADD CONSTRAINT "shelf_count_class_id_classroom_id_fk" FOREIGN KEY ("class_id") REFERENCES "public"."classroom"("id") ON DELETE no action ON UPDATE no action;