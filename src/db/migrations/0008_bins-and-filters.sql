CREATE TABLE `saved_filters` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`filter` text NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer
);
--> statement-breakpoint
ALTER TABLE `bins` ADD `capacity` integer;--> statement-breakpoint
CREATE INDEX `lots_age` ON `lots` (`created_ms`);--> statement-breakpoint
CREATE INDEX `lots_in_stock` ON `lots` (`kind`,`package`,`grade`,`bin_id`,`on_hand`) WHERE "lots"."deleted_ms" is null and "lots"."on_hand" > 0;