CREATE TABLE `learners` (
	`person_id` text PRIMARY KEY NOT NULL,
	`data` text NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `technicians`(`id`) ON UPDATE no action ON DELETE no action
);
