CREATE TABLE `booking` (
	`id` text PRIMARY KEY NOT NULL,
	`vehicle_id` text NOT NULL,
	`removed_ms` integer,
	`from_ms` integer NOT NULL,
	`ready_by_ms` integer NOT NULL,
	`method_id` text,
	`extras` text NOT NULL,
	`agreed_minor` integer,
	`note` text NOT NULL,
	FOREIGN KEY (`vehicle_id`) REFERENCES `vehicle`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `booking_by_vehicle` ON `booking` (`vehicle_id`,`ready_by_ms`);--> statement-breakpoint
CREATE TABLE `customer` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`contact` text NOT NULL,
	`notes` text NOT NULL,
	`photo_consent` text NOT NULL,
	`consent_ms` integer,
	`availability` text,
	`removed_ms` integer
);
--> statement-breakpoint
CREATE TABLE `message` (
	`id` text PRIMARY KEY NOT NULL,
	`customer_id` text NOT NULL,
	`vehicle_id` text NOT NULL,
	`wash_id` text,
	`kind` text NOT NULL,
	`body` text NOT NULL,
	`created_ms` integer NOT NULL,
	`told_start_ms` integer,
	`told_place_id` text,
	`exported_ms` integer,
	`removed_ms` integer,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`vehicle_id`) REFERENCES `vehicle`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `message_by_wash` ON `message` (`wash_id`,`created_ms`);--> statement-breakpoint
ALTER TABLE `vehicle` ADD `target` text DEFAULT '{"kind":"days"}' NOT NULL;--> statement-breakpoint
ALTER TABLE `vehicle` ADD `season_jobs` text DEFAULT '["underbody","anti-corrosion","top-up","decontaminate","polish","re-coat"]' NOT NULL;--> statement-breakpoint
ALTER TABLE `vehicle` ADD `customer_id` text REFERENCES customer(id);--> statement-breakpoint
ALTER TABLE `wash` ADD `extras` text DEFAULT '[]' NOT NULL;