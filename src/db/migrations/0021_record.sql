ALTER TABLE `donors` ADD `outcome` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `donors` ADD `outcome_note` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `donors` ADD `closed_ms` integer;--> statement-breakpoint
ALTER TABLE `notes` ADD `tell_next` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `notes` ADD `asked_of` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `notes` ADD `due_ms` integer;