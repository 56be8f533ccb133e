CREATE TABLE `job_summaries` (
	`job_id` text PRIMARY KEY NOT NULL,
	`on_floor` integer NOT NULL,
	`stale` integer NOT NULL,
	`records_version` integer NOT NULL,
	`data` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `job_summaries_floor` ON `job_summaries` (`on_floor`);--> statement-breakpoint
INSERT INTO `job_summaries` SELECT `id`, 1, 1, 0, '{}' FROM `jobs`;--> statement-breakpoint
INSERT OR IGNORE INTO `meta` VALUES ('records-version', '0');--> statement-breakpoint
CREATE TRIGGER `job_summarised` AFTER INSERT ON `jobs` BEGIN
	INSERT INTO `job_summaries` VALUES (NEW.`id`, 1, 1, 0, '{}');
END;--> statement-breakpoint
CREATE TRIGGER `event_summarised` AFTER INSERT ON `events` BEGIN
	UPDATE `job_summaries` SET `stale` = 1, `on_floor` = 1 WHERE `job_id` = NEW.`job_id`;
END;--> statement-breakpoint
CREATE TRIGGER `choice_summarised` AFTER INSERT ON `choices` BEGIN
	UPDATE `job_summaries` SET `stale` = 1, `on_floor` = 1 WHERE `job_id` = NEW.`job_id`;
END;--> statement-breakpoint
CREATE TRIGGER `choice_resummarised` AFTER UPDATE ON `choices` BEGIN
	UPDATE `job_summaries` SET `stale` = 1, `on_floor` = 1 WHERE `job_id` = NEW.`job_id`;
END;--> statement-breakpoint
CREATE TRIGGER `record_counted` AFTER INSERT ON `records` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'records-version';
END;--> statement-breakpoint
CREATE TRIGGER `record_recounted` AFTER UPDATE ON `records` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'records-version';
END;--> statement-breakpoint
CREATE TRIGGER `record_uncounted` AFTER DELETE ON `records` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'records-version';
END;
