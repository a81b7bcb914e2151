CREATE TABLE `job_events` (
	`job` text NOT NULL,
	`seq` integer NOT NULL,
	`id` text NOT NULL,
	`body` text NOT NULL,
	PRIMARY KEY(`job`, `seq`),
	FOREIGN KEY (`job`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `job_events_id_unique` ON `job_events` (`id`);--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`tag` text NOT NULL,
	`opened_at` text NOT NULL,
	`summary` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `jobs_by_opening` ON `jobs` (`opened_at`);--> statement-breakpoint
CREATE TABLE `units` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`place` text DEFAULT '' NOT NULL,
	`map` text NOT NULL,
	`saved_at` text NOT NULL
);
