ALTER TABLE `gear` ADD `duty` text DEFAULT 'paint' NOT NULL;--> statement-breakpoint
ALTER TABLE `gear` ADD `laundered_times` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `gear` ADD `has_guard` integer;