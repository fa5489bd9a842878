CREATE TABLE `audit` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at_ms` integer NOT NULL,
	`who` text,
	`device` text,
	`record` text NOT NULL,
	`record_id` text NOT NULL,
	`deed` text NOT NULL,
	`before` text,
	`after` text
);
--> statement-breakpoint
CREATE INDEX `audit_by_record` ON `audit` (`record`,`record_id`);--> statement-breakpoint
CREATE INDEX `audit_by_time` ON `audit` (`at_ms`);--> statement-breakpoint
CREATE TABLE `audit_actor` (
	`id` integer PRIMARY KEY NOT NULL,
	`who` text,
	`device` text,
	`at_ms` integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE `run_action` ADD `who` text;--> statement-breakpoint
ALTER TABLE `run_action` ADD `device` text;--> statement-breakpoint
INSERT INTO `audit_actor` (`id`, `at_ms`) VALUES (1, 0);
