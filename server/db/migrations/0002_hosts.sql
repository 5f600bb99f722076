CREATE TABLE `allowed_hosts` (
	`host` text PRIMARY KEY NOT NULL,
	`allowed_at` integer NOT NULL
);
