ALTER TABLE `donors` ADD `fittings` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `lots` ADD `fittings` text DEFAULT '{}' NOT NULL;