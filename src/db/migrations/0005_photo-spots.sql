CREATE TABLE `pin_spots` (
	`id` text PRIMARY KEY NOT NULL,
	`photo_id` text NOT NULL,
	`pin` text NOT NULL,
	`x_share` real NOT NULL,
	`y_share` real NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`photo_id`) REFERENCES `photos`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `pin_spots_photo` ON `pin_spots` (`photo_id`);--> statement-breakpoint
ALTER TABLE `photos` ADD `is_mirrored` integer DEFAULT false NOT NULL;