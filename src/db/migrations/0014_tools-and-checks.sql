CREATE TABLE `meter_checks` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `meter_checks_donor` ON `meter_checks` (`donor_id`);--> statement-breakpoint
ALTER TABLE `store_readings` ADD `tool_ohm` real;--> statement-breakpoint
ALTER TABLE `stores` ADD `tool_ohm` real;