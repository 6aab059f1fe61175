CREATE TABLE `board_facts` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`relation` text NOT NULL,
	`a` text NOT NULL,
	`b` text DEFAULT '' NOT NULL,
	`ohms` real,
	`drop_v` real,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `board_facts_donor` ON `board_facts` (`donor_id`);