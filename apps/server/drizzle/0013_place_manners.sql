ALTER TABLE `place` ADD `most_minutes` real;--> statement-breakpoint
ALTER TABLE `place` ADD `drying_spot` text DEFAULT '' NOT NULL;