CREATE TABLE `power_up_marks` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`run` integer NOT NULL,
	`step` text NOT NULL,
	`text` text DEFAULT '' NOT NULL,
	`outcome` text NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `power_up_marks_donor` ON `power_up_marks` (`donor_id`);