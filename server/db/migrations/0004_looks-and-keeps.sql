CREATE TABLE `looks` (
	`id` text PRIMARY KEY NOT NULL,
	`topic` text NOT NULL,
	`name` text NOT NULL,
	`value` text NOT NULL,
	`saved_at` integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE `revisions` ADD `kept_as` text;--> statement-breakpoint
ALTER TABLE `revisions` ADD `note` text;