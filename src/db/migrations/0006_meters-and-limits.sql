ALTER TABLE `lots` ADD `limits` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `measurements` ADD `meter` text DEFAULT '' NOT NULL;