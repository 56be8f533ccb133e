CREATE TABLE `sent_heads` (
	`id` text PRIMARY KEY NOT NULL,
	`day` text NOT NULL,
	`head` text NOT NULL,
	`up_to` integer NOT NULL,
	`how` text NOT NULL,
	`by_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`by_id`) REFERENCES `technicians`(`id`) ON UPDATE no action ON DELETE no action
);
