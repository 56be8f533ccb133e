CREATE TABLE `books` (
	`version` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`command_id` text NOT NULL,
	`edits` text NOT NULL,
	`count_from_ms` integer NOT NULL,
	`reason` text NOT NULL,
	`by_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`by_id`) REFERENCES `technicians`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `books_command` ON `books` (`command_id`);--> statement-breakpoint
CREATE TABLE `outcomes` (
	`job_id` text PRIMARY KEY NOT NULL,
	`at_ms` integer NOT NULL,
	`data` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `snapshots` (
	`job_id` text PRIMARY KEY NOT NULL,
	`data` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
