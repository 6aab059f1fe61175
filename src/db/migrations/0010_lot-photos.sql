ALTER TABLE `lots` ADD `photo_hash` text;--> statement-breakpoint
CREATE INDEX `lots_photo` ON `lots` (`photo_hash`) WHERE "lots"."photo_hash" is not null;