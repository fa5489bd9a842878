ALTER TABLE `place` ADD `cars_at_once` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `wash` ADD `hands_id` text DEFAULT 'owner' NOT NULL;--> statement-breakpoint
ALTER TABLE `wash` ADD `is_locked` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `wash` ADD `started_ms` integer;