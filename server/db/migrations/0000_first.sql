CREATE TABLE `desks` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`revision` integer NOT NULL,
	`created_at` integer NOT NULL,
	`saved_at` integer NOT NULL,
	`removed_at` integer
);
--> statement-breakpoint
CREATE TABLE `pictures` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`type` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`bytes` integer NOT NULL,
	`added_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `revisions` (
	`desk_id` text NOT NULL,
	`number` integer NOT NULL,
	`saved_at` integer NOT NULL,
	`desk` text NOT NULL,
	PRIMARY KEY(`desk_id`, `number`),
	FOREIGN KEY (`desk_id`) REFERENCES `desks`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `revisions_saved` ON `revisions` (`saved_at`);