CREATE TABLE `choices` (
	`job_id` text NOT NULL,
	`key` text NOT NULL,
	`version` integer NOT NULL,
	`value` text NOT NULL,
	`command_id` text NOT NULL,
	`by_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	PRIMARY KEY(`job_id`, `key`),
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`by_id`) REFERENCES `technicians`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `events` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`job_id` text NOT NULL,
	`type` text NOT NULL,
	`body` text NOT NULL,
	`by_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`prev_hash` text NOT NULL,
	`hash` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`by_id`) REFERENCES `technicians`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `events_id` ON `events` (`id`);--> statement-breakpoint
CREATE INDEX `events_job` ON `events` (`job_id`,`seq`);--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`number` text NOT NULL,
	`unit_id` text NOT NULL,
	`corner` text NOT NULL,
	`created_ms` integer NOT NULL,
	`by_id` text NOT NULL,
	FOREIGN KEY (`by_id`) REFERENCES `technicians`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `jobs_number` ON `jobs` (`number`);--> statement-breakpoint
CREATE TABLE `meta` (
	`key` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `records` (
	`kind` text NOT NULL,
	`id` text NOT NULL,
	`position` integer NOT NULL,
	`data` text NOT NULL,
	PRIMARY KEY(`kind`, `id`)
);
--> statement-breakpoint
CREATE TABLE `technicians` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`lead` integer NOT NULL,
	`pin_salt` text NOT NULL,
	`pin_hash` text NOT NULL
);
