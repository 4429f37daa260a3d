DROP INDEX "estimate_day_class_id_strand_index";--> statement-breakpoint
CREATE INDEX "estimate_day_class_id_strand_day_index" ON "estimate_day" USING btree ("class_id","strand","day");