CREATE TABLE `devices` (
	`id` text PRIMARY KEY NOT NULL,
	`token` text NOT NULL,
	`person` text NOT NULL,
	`words` text NOT NULL,
	`started_at` text NOT NULL,
	`seen_at` text NOT NULL,
	`ends_at` text NOT NULL,
	FOREIGN KEY (`person`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `devices_token_unique` ON `devices` (`token`);--> statement-breakpoint
CREATE INDEX `devices_of_person` ON `devices` (`person`);--> statement-breakpoint
CREATE TABLE `links` (
	`token` text PRIMARY KEY NOT NULL,
	`person` text NOT NULL,
	`to` text NOT NULL,
	`ends_at` text NOT NULL,
	`used_at` text,
	FOREIGN KEY (`person`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `people` (
	`id` text PRIMARY KEY NOT NULL,
	`key` text NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`passcode` text NOT NULL,
	`added_at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `people_key_unique` ON `people` (`key`);