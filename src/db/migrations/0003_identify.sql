CREATE TABLE `datasheets` (
	`id` text PRIMARY KEY NOT NULL,
	`type_id` text NOT NULL,
	`hash` text NOT NULL,
	`file_name` text NOT NULL,
	`bytes` integer NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`type_id`) REFERENCES `types`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `datasheets_type` ON `datasheets` (`type_id`);--> statement-breakpoint
CREATE TABLE `note_events` (
	`id` text PRIMARY KEY NOT NULL,
	`note_id` text NOT NULL,
	`standing` text NOT NULL,
	`because` text DEFAULT '' NOT NULL,
	`at_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`note_id`) REFERENCES `notes`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `note_events_note` ON `note_events` (`note_id`);--> statement-breakpoint
CREATE TABLE `type_aliases` (
	`id` text PRIMARY KEY NOT NULL,
	`type_id` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`type_id`) REFERENCES `types`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `type_aliases_name` ON `type_aliases` (`kind`,`name`) WHERE "type_aliases"."deleted_ms" is null;--> statement-breakpoint
CREATE INDEX `type_aliases_type` ON `type_aliases` (`type_id`);--> statement-breakpoint
DROP INDEX `types_name`;--> statement-breakpoint
ALTER TABLE `types` ADD `package` text;--> statement-breakpoint
ALTER TABLE `types` ADD `note` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `types` ADD `deleted_ms` integer;--> statement-breakpoint
CREATE INDEX `types_by_name` ON `types` (`name`);--> statement-breakpoint
CREATE UNIQUE INDEX `types_name` ON `types` (`kind`,`name`) WHERE "types"."deleted_ms" is null;--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_journal` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text,
	`at_ms` integer NOT NULL,
	`station` text NOT NULL,
	`says` text NOT NULL,
	`changes` text NOT NULL,
	`undone_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_journal`("id", "donor_id", "at_ms", "station", "says", "changes", "undone_ms") SELECT "id", "donor_id", "at_ms", "station", "says", "changes", "undone_ms" FROM `journal`;--> statement-breakpoint
DROP TABLE `journal`;--> statement-breakpoint
ALTER TABLE `__new_journal` RENAME TO `journal`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `journal_donor` ON `journal` (`donor_id`,`id`);--> statement-breakpoint
ALTER TABLE `notes` ADD `ref` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `notes` ADD `claim` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `notes` ADD `standing` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `parts` ADD `block` text;--> statement-breakpoint
ALTER TABLE `parts` ADD `duty` text;--> statement-breakpoint
ALTER TABLE `parts` ADD `fitments` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `parts` ADD `pin_hints` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
CREATE INDEX `parts_marking` ON `parts` (`marking`);--> statement-breakpoint
ALTER TABLE `type_ratings` ADD `page` integer;