CREATE TABLE `exercises` (
	`id` text PRIMARY KEY NOT NULL,
	`person` text NOT NULL,
	`started_at` text NOT NULL,
	`ended_at` text,
	`map` text NOT NULL,
	`body` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `exercises_of_person` ON `exercises` (`person`,`started_at`);