-- Things of the shelf have one name each: what was counted under an earlier name is counted under this one.
UPDATE "shelf_count" SET "item" = 'base-ten one' WHERE "item" = 'one of the base-ten pieces';--> statement-breakpoint
UPDATE "shelf_count" SET "item" = 'base-ten ten' WHERE "item" = 'ten of the base-ten pieces';--> statement-breakpoint
UPDATE "shelf_count" SET "item" = 'set of dominoes to double 6' WHERE "item" = 'set of dominoes';--> statement-breakpoint
UPDATE "shelf_count" SET "item" = 'timer' WHERE "item" = 'sand timer';
