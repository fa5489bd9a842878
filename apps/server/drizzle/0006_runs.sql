CREATE TABLE `run_action` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`wash_id` text NOT NULL,
	`action` text NOT NULL,
	FOREIGN KEY (`wash_id`) REFERENCES `wash`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `run_action_id_unique` ON `run_action` (`id`);--> statement-breakpoint
CREATE INDEX `run_action_by_wash` ON `run_action` (`wash_id`,`seq`);--> statement-breakpoint
CREATE TABLE `run_pack` (
	`id` text PRIMARY KEY NOT NULL,
	`wash_id` text NOT NULL,
	`pack` text NOT NULL,
	FOREIGN KEY (`wash_id`) REFERENCES `wash`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `run_pack_by_wash` ON `run_pack` (`wash_id`);--> statement-breakpoint
CREATE TABLE `run_photo` (
	`id` text PRIMARY KEY NOT NULL,
	`wash_id` text NOT NULL,
	`media_type` text NOT NULL,
	`bytes` blob NOT NULL,
	FOREIGN KEY (`wash_id`) REFERENCES `wash`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `run_photo_by_wash` ON `run_photo` (`wash_id`);