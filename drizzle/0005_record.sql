CREATE TABLE `job_facts` (
	`job` text PRIMARY KEY NOT NULL,
	`opened_at` text NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`job`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `job_facts_by_opening` ON `job_facts` (`opened_at`);