ALTER TABLE `bins` ADD `counted_ms` integer;--> statement-breakpoint
ALTER TABLE `journal` ADD `scope` text DEFAULT 'donor' NOT NULL;--> statement-breakpoint
CREATE INDEX `journal_scope` ON `journal` (`scope`,`id`);--> statement-breakpoint
ALTER TABLE `stock_ledger` ADD `journal_id` text;--> statement-breakpoint
UPDATE `journal` SET `scope` = CASE WHEN `station` = 'identify' THEN 'types' ELSE 'stock' END WHERE `donor_id` IS NULL;--> statement-breakpoint
UPDATE `journal` SET `station` = '' WHERE `donor_id` IS NULL;--> statement-breakpoint
DROP TRIGGER `stock_ledger_no_update`;--> statement-breakpoint
UPDATE `stock_ledger` SET `journal_id` = `written`.`step` FROM (
  SELECT `journal`.`id` AS `step`, json_extract(`change`.`value`, '$.id') AS `line`
  FROM `journal`, json_each(`journal`.`changes`) AS `change`
  WHERE json_extract(`change`.`value`, '$.op') = 'ledger'
) AS `written` WHERE `written`.`line` = `stock_ledger`.`id`;--> statement-breakpoint
CREATE TRIGGER `stock_ledger_no_update` BEFORE UPDATE ON `stock_ledger`
BEGIN
  SELECT RAISE(ABORT, 'the stock ledger is append-only');
END;--> statement-breakpoint
UPDATE `bins` SET `counted_ms` = (
  SELECT max(`at_ms`) FROM `stock_ledger` WHERE `reason` = 'counted' AND `note` = 'stocktake of ' || `bins`.`code`
);
