CREATE TABLE `opening_steps` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`seam` text NOT NULL,
	`method` text NOT NULL,
	`drive` text DEFAULT '' NOT NULL,
	`count` integer,
	`place` text DEFAULT '' NOT NULL,
	`minutes` real,
	`damage` text NOT NULL,
	`kept` text DEFAULT '' NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `opening_steps_donor` ON `opening_steps` (`donor_id`);--> statement-breakpoint
CREATE TABLE `photo_pairs` (
	`id` text PRIMARY KEY NOT NULL,
	`front_id` text NOT NULL,
	`back_id` text NOT NULL,
	`matches` text NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`front_id`) REFERENCES `photos`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`back_id`) REFERENCES `photos`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photo_pairs_front` ON `photo_pairs` (`front_id`);--> statement-breakpoint
CREATE INDEX `photo_pairs_back` ON `photo_pairs` (`back_id`);--> statement-breakpoint
CREATE TABLE `photo_pins` (
	`id` text PRIMARY KEY NOT NULL,
	`photo_id` text NOT NULL,
	`number` integer NOT NULL,
	`x_share` real NOT NULL,
	`y_share` real NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`photo_id`) REFERENCES `photos`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photo_pins_photo` ON `photo_pins` (`photo_id`);--> statement-breakpoint
CREATE TABLE `photos` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`hash` text NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`caption` text DEFAULT '' NOT NULL,
	`station` text NOT NULL,
	`side` text DEFAULT '' NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photos_donor` ON `photos` (`donor_id`);--> statement-breakpoint
CREATE INDEX `photos_hash` ON `photos` (`hash`);--> statement-breakpoint
CREATE TABLE `power_events` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`applied` integer NOT NULL,
	`at_ms` integer NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `power_events_donor` ON `power_events` (`donor_id`);--> statement-breakpoint
CREATE TABLE `reassemblies` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`result` text NOT NULL,
	`remark` text DEFAULT '' NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `reassemblies_donor` ON `reassemblies` (`donor_id`);--> statement-breakpoint
CREATE TABLE `settings` (
	`name` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `soak_rows` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`run` integer NOT NULL,
	`elapsed_s` real NOT NULL,
	`input_w` real,
	`case_c` real,
	`output_v` real,
	`load_a` real,
	`remark` text DEFAULT '' NOT NULL,
	`taken_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `soak_rows_donor` ON `soak_rows` (`donor_id`);--> statement-breakpoint
CREATE TABLE `work_spells` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`station` text NOT NULL,
	`started_ms` integer NOT NULL,
	`ended_ms` integer,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `work_spells_donor` ON `work_spells` (`donor_id`);--> statement-breakpoint
ALTER TABLE `donors` ADD `kind` text DEFAULT 'other' NOT NULL;--> statement-breakpoint
ALTER TABLE `donors` ADD `plate` text;--> statement-breakpoint
ALTER TABLE `donors` ADD `origin_kind` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `donors` ADD `clearance` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `donors` ADD `symptom_kind` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `donors` ADD `date_codes` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `donors` ADD `fuse_a` real;--> statement-breakpoint
ALTER TABLE `donors` ADD `inlet` text;--> statement-breakpoint
ALTER TABLE `donors` ADD `cable_m2` real;--> statement-breakpoint
ALTER TABLE `donors` ADD `switch_a` real;--> statement-breakpoint
ALTER TABLE `donors` ADD `thyristor_a` real;--> statement-breakpoint
ALTER TABLE `donors` ADD `ambient_c` real;--> statement-breakpoint
ALTER TABLE `parts` ADD `date_code` text;--> statement-breakpoint
ALTER TABLE `stores` ADD `bank` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `stores` ADD `hold_source` text DEFAULT 'auto' NOT NULL;--> statement-breakpoint
ALTER TABLE `stores` ADD `hold_v` real;