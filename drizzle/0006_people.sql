CREATE TABLE `record_versions` (
	`version` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`id` text NOT NULL,
	`data` text NOT NULL,
	`replaced_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `record_versions_of` ON `record_versions` (`kind`,`id`);--> statement-breakpoint
ALTER TABLE `technicians` ADD `retired_ms` integer;--> statement-breakpoint
CREATE TRIGGER `record_replaced` AFTER UPDATE OF `data` ON `records` WHEN OLD.`data` <> NEW.`data` BEGIN
	INSERT INTO `record_versions` (`kind`, `id`, `data`, `replaced_ms`) VALUES (OLD.`kind`, OLD.`id`, OLD.`data`, CAST((julianday('now') - 2440587.5) * 86400000 AS INTEGER));
END;--> statement-breakpoint
CREATE TRIGGER `record_removed` AFTER DELETE ON `records` BEGIN
	INSERT INTO `record_versions` (`kind`, `id`, `data`, `replaced_ms`) VALUES (OLD.`kind`, OLD.`id`, OLD.`data`, CAST((julianday('now') - 2440587.5) * 86400000 AS INTEGER));
END;
