CREATE VIRTUAL TABLE `search` USING fts5(body, ref UNINDEXED, event UNINDEXED, kind UNINDEXED, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
--> statement-breakpoint
CREATE TABLE `search_gone` (`event` text PRIMARY KEY NOT NULL);
