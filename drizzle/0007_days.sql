CREATE TABLE `day_plans` (
	`day` text NOT NULL,
	`person` text NOT NULL,
	`version` integer NOT NULL,
	`body` text NOT NULL,
	PRIMARY KEY(`day`, `person`)
);
