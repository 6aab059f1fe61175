CREATE TABLE `recordings` (
	`id` text PRIMARY KEY NOT NULL,
	`part_id` text NOT NULL,
	`title` text NOT NULL,
	`channels` text NOT NULL,
	`taken_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `recordings_part` ON `recordings` (`part_id`);