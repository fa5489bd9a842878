CREATE TABLE `feed` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`secret` text NOT NULL,
	`worker_id` text,
	`made_ms` integer NOT NULL,
	`last_read_ms` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `feed_secret_unique` ON `feed` (`secret`);
--> statement-breakpoint
INSERT INTO `feed` (`id`, `name`, `secret`, `worker_id`, `made_ms`, `last_read_ms`) SELECT 'first', 'Everybody', json_extract(`value`, '$'), NULL, 0, NULL FROM `setting` WHERE `key` = 'calendarSecret';
--> statement-breakpoint
DELETE FROM `setting` WHERE `key` = 'calendarSecret';
