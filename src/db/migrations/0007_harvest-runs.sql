CREATE TABLE `harvest_runs` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`minutes` real NOT NULL,
	`bin` text NOT NULL,
	`started_ms` integer NOT NULL,
	`ended_ms` integer,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `harvest_runs_donor` ON `harvest_runs` (`donor_id`);--> statement-breakpoint
CREATE TABLE `harvest_steps` (
	`id` text PRIMARY KEY NOT NULL,
	`run_id` text NOT NULL,
	`job_id` text NOT NULL,
	`effort` text NOT NULL,
	`predicted_min` real NOT NULL,
	`taken_s` real NOT NULL,
	`outcome` text NOT NULL,
	`at_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`run_id`) REFERENCES `harvest_runs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `harvest_steps_run` ON `harvest_steps` (`run_id`);--> statement-breakpoint
ALTER TABLE `parts` ADD `wish` text;--> statement-breakpoint
ALTER TABLE `parts` ADD `mounting` text DEFAULT '{"ways":[],"behind":[]}' NOT NULL;