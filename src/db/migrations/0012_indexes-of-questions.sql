DROP INDEX `lots_kind`;--> statement-breakpoint
DROP INDEX `lots_in_stock`;--> statement-breakpoint
DROP INDEX `lots_bin`;--> statement-breakpoint
CREATE INDEX `lots_newest` ON `lots` (`kind`,`id`,`package`,`grade`,`bin_id`,`on_hand`) WHERE "lots"."deleted_ms" is null and "lots"."on_hand" > 0;--> statement-breakpoint
CREATE INDEX `lots_in_stock` ON `lots` (`kind`,`package`,`grade`,`bin_id`,`on_hand`,`id`) WHERE "lots"."deleted_ms" is null and "lots"."on_hand" > 0;--> statement-breakpoint
CREATE INDEX `lots_bin` ON `lots` (`bin_id`,`deleted_ms`,`on_hand`);--> statement-breakpoint
DROP INDEX `lot_ratings_lot`;--> statement-breakpoint
DROP INDEX `lot_ratings_search`;--> statement-breakpoint
CREATE INDEX `lot_ratings_lot` ON `lot_ratings` (`lot_id`,`name`,`superseded_ms`,`value_si`);--> statement-breakpoint
CREATE INDEX `lot_ratings_search` ON `lot_ratings` (`name`,`value_si`,`lot_id`,`source`) WHERE "lot_ratings"."superseded_ms" is null;