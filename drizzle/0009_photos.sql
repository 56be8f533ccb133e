CREATE TABLE `photos` (
	`hash` text PRIMARY KEY NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`data` text NOT NULL
);
