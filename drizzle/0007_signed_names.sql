CREATE TABLE `signed_names` (
	`job_id` text NOT NULL,
	`person_id` text NOT NULL,
	`name` text,
	`salt` text,
	PRIMARY KEY(`job_id`, `person_id`),
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `technicians`(`id`) ON UPDATE no action ON DELETE no action
);--> statement-breakpoint
INSERT OR IGNORE INTO `meta` VALUES ('shop-version', '0');--> statement-breakpoint
CREATE TRIGGER `technicians_counted` AFTER INSERT ON `technicians` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;--> statement-breakpoint
CREATE TRIGGER `technicians_recounted` AFTER UPDATE ON `technicians` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;--> statement-breakpoint
CREATE TRIGGER `technicians_uncounted` AFTER DELETE ON `technicians` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;--> statement-breakpoint
CREATE TRIGGER `shop_settings_counted` AFTER INSERT ON `shop_settings` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;--> statement-breakpoint
CREATE TRIGGER `shop_settings_recounted` AFTER UPDATE ON `shop_settings` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;--> statement-breakpoint
CREATE TRIGGER `shop_settings_uncounted` AFTER DELETE ON `shop_settings` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;--> statement-breakpoint
CREATE TRIGGER `books_counted` AFTER INSERT ON `books` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;--> statement-breakpoint
CREATE TRIGGER `books_recounted` AFTER UPDATE ON `books` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;--> statement-breakpoint
CREATE TRIGGER `books_uncounted` AFTER DELETE ON `books` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;--> statement-breakpoint
CREATE TRIGGER `outcomes_counted` AFTER INSERT ON `outcomes` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;--> statement-breakpoint
CREATE TRIGGER `outcomes_recounted` AFTER UPDATE ON `outcomes` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;--> statement-breakpoint
CREATE TRIGGER `outcomes_uncounted` AFTER DELETE ON `outcomes` BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;--> statement-breakpoint
CREATE TRIGGER `shop_mark_counted` AFTER INSERT ON `meta` WHEN NEW.`key` IN ('demo', 'shop') BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;--> statement-breakpoint
CREATE TRIGGER `shop_mark_recounted` AFTER UPDATE ON `meta` WHEN NEW.`key` IN ('demo', 'shop') BEGIN
	UPDATE `meta` SET `value` = CAST(`value` AS INTEGER) + 1 WHERE `key` = 'shop-version';
END;
