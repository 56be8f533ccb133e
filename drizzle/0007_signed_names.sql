CREATE TABLE `signed_names` (
	`job_id` text NOT NULL,
	`person_id` text NOT NULL,
	`name` text,
	`salt` text,
	PRIMARY KEY(`job_id`, `person_id`),
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `technicians`(`id`) ON UPDATE no action ON DELETE no action
);
