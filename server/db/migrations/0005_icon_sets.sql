CREATE TABLE `icon_sets` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`added_at` integer NOT NULL,
	`removed_at` integer
);
