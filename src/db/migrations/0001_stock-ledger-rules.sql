CREATE TRIGGER `stock_ledger_keeps_balance` AFTER INSERT ON `stock_ledger`
BEGIN
  UPDATE `lots` SET `on_hand` = `on_hand` + NEW.`on_hand_delta`, `reserved` = `reserved` + NEW.`reserved_delta` WHERE `id` = NEW.`lot_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `stock_ledger_no_update` BEFORE UPDATE ON `stock_ledger`
BEGIN
  SELECT RAISE(ABORT, 'the stock ledger is append-only');
END;
--> statement-breakpoint
CREATE TRIGGER `stock_ledger_no_delete` BEFORE DELETE ON `stock_ledger`
BEGIN
  SELECT RAISE(ABORT, 'the stock ledger is append-only');
END;
