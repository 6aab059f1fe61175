CREATE TABLE `kept_sums` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text,
	`build_id` text,
	`ref` text DEFAULT '' NOT NULL,
	`sum` text NOT NULL,
	`typed` text NOT NULL,
	`follows` text NOT NULL,
	`answer` text NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `kept_sums_donor` ON `kept_sums` (`donor_id`);--> statement-breakpoint
CREATE INDEX `kept_sums_build` ON `kept_sums` (`build_id`);