CREATE TABLE `bins` (
	`id` text PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`created_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `bins_code_unique` ON `bins` (`code`);--> statement-breakpoint
CREATE TABLE `builds` (
	`id` text PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`title` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `builds_code_unique` ON `builds` (`code`);--> statement-breakpoint
CREATE TABLE `donors` (
	`id` text PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`description` text NOT NULL,
	`maker` text DEFAULT '' NOT NULL,
	`model` text DEFAULT '' NOT NULL,
	`nameplate` text DEFAULT '' NOT NULL,
	`origin` text DEFAULT '' NOT NULL,
	`symptom` text DEFAULT '' NOT NULL,
	`length_m` real,
	`width_m` real,
	`height_m` real,
	`mass_kg` real,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `donors_code_unique` ON `donors` (`code`);--> statement-breakpoint
CREATE INDEX `donors_created` ON `donors` (`created_ms`);--> statement-breakpoint
CREATE TABLE `journal` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`station` text NOT NULL,
	`says` text NOT NULL,
	`changes` text NOT NULL,
	`undone_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `journal_donor` ON `journal` (`donor_id`,`id`);--> statement-breakpoint
CREATE TABLE `lot_ratings` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`value_si` real NOT NULL,
	`source` text NOT NULL,
	`rule` text,
	`confidence` real,
	`recorded_ms` integer NOT NULL,
	`superseded_ms` integer,
	`lot_id` text NOT NULL,
	FOREIGN KEY (`lot_id`) REFERENCES `lots`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lot_ratings_lot` ON `lot_ratings` (`lot_id`);--> statement-breakpoint
CREATE INDEX `lot_ratings_search` ON `lot_ratings` (`name`,`value_si`,`lot_id`) WHERE "lot_ratings"."superseded_ms" is null;--> statement-breakpoint
CREATE TABLE `lots` (
	`id` text PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`kind` text NOT NULL,
	`subtype` text,
	`technology` text,
	`marking` text DEFAULT '' NOT NULL,
	`package` text,
	`grade` text,
	`grade_reason` text DEFAULT '' NOT NULL,
	`bin_id` text NOT NULL,
	`donor_id` text,
	`part_id` text,
	`type_id` text,
	`on_hand` integer DEFAULT 0 NOT NULL,
	`reserved` integer DEFAULT 0 NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`bin_id`) REFERENCES `bins`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`type_id`) REFERENCES `types`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "lots_on_hand_not_negative" CHECK("lots"."on_hand" >= 0),
	CONSTRAINT "lots_reserved_within_stock" CHECK("lots"."reserved" >= 0 and "lots"."reserved" <= "lots"."on_hand")
);
--> statement-breakpoint
CREATE UNIQUE INDEX `lots_code_unique` ON `lots` (`code`);--> statement-breakpoint
CREATE INDEX `lots_kind` ON `lots` (`kind`,`id`);--> statement-breakpoint
CREATE INDEX `lots_bin` ON `lots` (`bin_id`);--> statement-breakpoint
CREATE INDEX `lots_donor` ON `lots` (`donor_id`);--> statement-breakpoint
CREATE TABLE `measurements` (
	`id` text PRIMARY KEY NOT NULL,
	`part_id` text NOT NULL,
	`test` text NOT NULL,
	`measured` text NOT NULL,
	`in_circuit` integer NOT NULL,
	`taken_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `measurements_part` ON `measurements` (`part_id`);--> statement-breakpoint
CREATE TABLE `needs` (
	`id` text PRIMARY KEY NOT NULL,
	`build_id` text NOT NULL,
	`role` text NOT NULL,
	`filter` text NOT NULL,
	`quantity` integer NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `needs_build` ON `needs` (`build_id`);--> statement-breakpoint
CREATE TABLE `notes` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`station` text NOT NULL,
	`text` text NOT NULL,
	`question` integer NOT NULL,
	`answered_ms` integer,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `notes_donor` ON `notes` (`donor_id`);--> statement-breakpoint
CREATE TABLE `part_ratings` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`value_si` real NOT NULL,
	`source` text NOT NULL,
	`rule` text,
	`confidence` real,
	`recorded_ms` integer NOT NULL,
	`superseded_ms` integer,
	`part_id` text NOT NULL,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `part_ratings_part` ON `part_ratings` (`part_id`);--> statement-breakpoint
CREATE TABLE `parts` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`ref` text NOT NULL,
	`kind` text NOT NULL,
	`subtype` text,
	`package` text,
	`marking` text,
	`technology` text,
	`damage` text NOT NULL,
	`type_id` text,
	`state` text NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`type_id`) REFERENCES `types`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `parts_ref` ON `parts` (`donor_id`,`ref`) WHERE "parts"."deleted_ms" is null;--> statement-breakpoint
CREATE INDEX `parts_donor` ON `parts` (`donor_id`);--> statement-breakpoint
CREATE TABLE `station_marks` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`station` text NOT NULL,
	`mark` text NOT NULL,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `station_marks_donor` ON `station_marks` (`donor_id`);--> statement-breakpoint
CREATE TABLE `stock_ledger` (
	`id` text PRIMARY KEY NOT NULL,
	`lot_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`on_hand_delta` integer NOT NULL,
	`reserved_delta` integer NOT NULL,
	`reason` text NOT NULL,
	`need_id` text,
	`note` text DEFAULT '' NOT NULL,
	`undoes_id` text,
	FOREIGN KEY (`lot_id`) REFERENCES `lots`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`need_id`) REFERENCES `needs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `stock_ledger_undoes_id_unique` ON `stock_ledger` (`undoes_id`);--> statement-breakpoint
CREATE INDEX `stock_ledger_lot` ON `stock_ledger` (`lot_id`,`id`);--> statement-breakpoint
CREATE INDEX `stock_ledger_need` ON `stock_ledger` (`need_id`);--> statement-breakpoint
CREATE TABLE `store_readings` (
	`id` text PRIMARY KEY NOT NULL,
	`store_id` text NOT NULL,
	`run` integer NOT NULL,
	`elapsed_s` real NOT NULL,
	`voltage_v` real NOT NULL,
	`resolution_v` real NOT NULL,
	`taken_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`store_id`) REFERENCES `stores`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `store_readings_store` ON `store_readings` (`store_id`);--> statement-breakpoint
CREATE TABLE `stores` (
	`id` text PRIMARY KEY NOT NULL,
	`donor_id` text NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`capacitance_f` real NOT NULL,
	`rated_v` real,
	`bleed_ohm` real,
	`created_ms` integer NOT NULL,
	`deleted_ms` integer,
	FOREIGN KEY (`donor_id`) REFERENCES `donors`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `stores_name` ON `stores` (`donor_id`,`name`) WHERE "stores"."deleted_ms" is null;--> statement-breakpoint
CREATE INDEX `stores_donor` ON `stores` (`donor_id`);--> statement-breakpoint
CREATE TABLE `type_ratings` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`value_si` real NOT NULL,
	`source` text NOT NULL,
	`rule` text,
	`confidence` real,
	`recorded_ms` integer NOT NULL,
	`superseded_ms` integer,
	`type_id` text NOT NULL,
	FOREIGN KEY (`type_id`) REFERENCES `types`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `type_ratings_type` ON `type_ratings` (`type_id`);--> statement-breakpoint
CREATE TABLE `types` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`technology` text,
	`created_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `types_name` ON `types` (`kind`,`name`);