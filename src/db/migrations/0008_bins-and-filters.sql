CREATE TABLE `saved_filters` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`filter` text NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer
);
--> statement-breakpoint
ALTER TABLE `bins` ADD `capacity` integer;--> statement-breakpoint
CREATE INDEX `lots_age` ON `lots` (`created_ms`);