CREATE TABLE `shop_settings` (
	`version` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`command_id` text NOT NULL,
	`data` text NOT NULL,
	`by_id` text,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`by_id`) REFERENCES `technicians`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `shop_settings_command` ON `shop_settings` (`command_id`);
--> statement-breakpoint
-- Every shop of before was loaded with the made-up data.
INSERT INTO `meta` (`key`, `value`) SELECT 'demo', 'yes' WHERE EXISTS (SELECT 1 FROM `meta` WHERE `key` = 'shop' AND `value` = 'Skerry Point Motor Pool');
