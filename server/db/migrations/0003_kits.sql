CREATE TABLE `kits` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`version` integer NOT NULL,
	`saved_at` integer NOT NULL,
	`facts` text NOT NULL,
	`desk` text NOT NULL,
	`removed_at` integer
);
