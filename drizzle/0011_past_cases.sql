CREATE TABLE `past_cases` (
	`id` text PRIMARY KEY NOT NULL,
	`data` text NOT NULL,
	`at_ms` integer NOT NULL
);
