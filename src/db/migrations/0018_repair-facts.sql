CREATE TABLE `repair_facts` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`kind` text NOT NULL,
	`ref` text DEFAULT '' NOT NULL,
	`test` text DEFAULT '' NOT NULL,
	`text` text NOT NULL,
	`outcome` text DEFAULT '' NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `repair_facts_donor` ON `repair_facts` (`donor_id`);