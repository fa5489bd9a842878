CREATE TABLE `busy_time` (
	`id` text PRIMARY KEY NOT NULL,
	`calendar` text NOT NULL,
	`hands_id` text,
	`from_ms` integer NOT NULL,
	`to_ms` integer NOT NULL,
	`summary` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `busy_by_calendar` ON `busy_time` (`calendar`,`from_ms`);--> statement-breakpoint
ALTER TABLE `wash` ADD `revision` integer DEFAULT 0 NOT NULL;