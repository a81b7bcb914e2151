CREATE TABLE `stock_items` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`body` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `stock_movements` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`item` text NOT NULL,
	`job` text,
	`body` text NOT NULL,
	FOREIGN KEY (`item`) REFERENCES `stock_items`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `stock_movements_id_unique` ON `stock_movements` (`id`);--> statement-breakpoint
CREATE INDEX `stock_movements_of_item` ON `stock_movements` (`item`);--> statement-breakpoint
CREATE INDEX `stock_movements_of_job` ON `stock_movements` (`job`);