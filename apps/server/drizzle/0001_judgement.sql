CREATE TABLE `drive` (
	`id` text PRIMARY KEY NOT NULL,
	`vehicle_id` text NOT NULL,
	`removed_ms` integer,
	`hour_ms` integer NOT NULL,
	`road_class` text NOT NULL,
	`km` real NOT NULL,
	`mean_kmh` real,
	`origin` text NOT NULL,
	FOREIGN KEY (`vehicle_id`) REFERENCES `vehicle`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `drive_by_vehicle` ON `drive` (`vehicle_id`,`hour_ms`);--> statement-breakpoint
CREATE TABLE `soil_look` (
	`id` text PRIMARY KEY NOT NULL,
	`vehicle_id` text NOT NULL,
	`removed_ms` integer,
	`at_ms` integer NOT NULL,
	`zone` text NOT NULL,
	`kind` text NOT NULL,
	`grade` real NOT NULL,
	`estimated_then` real NOT NULL,
	FOREIGN KEY (`vehicle_id`) REFERENCES `vehicle`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `soil_look_by_vehicle` ON `soil_look` (`vehicle_id`,`at_ms`);--> statement-breakpoint
CREATE TABLE `swab` (
	`id` text PRIMARY KEY NOT NULL,
	`vehicle_id` text NOT NULL,
	`removed_ms` integer,
	`at_ms` integer NOT NULL,
	`zone` text NOT NULL,
	`delta_micro_siemens_per_cm` real NOT NULL,
	`volume_ml` real NOT NULL,
	`area_mm2` real NOT NULL,
	`grams_per_m2` real NOT NULL,
	FOREIGN KEY (`vehicle_id`) REFERENCES `vehicle`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `swab_by_vehicle` ON `swab` (`vehicle_id`,`at_ms`);--> statement-breakpoint
CREATE TABLE `treatment` (
	`id` text PRIMARY KEY NOT NULL,
	`at_ms` integer NOT NULL,
	`road_class` text NOT NULL,
	`agent` text NOT NULL,
	`grams_per_m2` real NOT NULL,
	`source` text NOT NULL,
	`removed_ms` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `treatment_once` ON `treatment` (`at_ms`,`road_class`,`agent`) WHERE "treatment"."removed_ms" is null;--> statement-breakpoint
ALTER TABLE `place` ADD `tariff` text;--> statement-breakpoint
ALTER TABLE `place` ADD `queue` text;--> statement-breakpoint
ALTER TABLE `place` ADD `forbids` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `vehicle` ADD `protections` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `vehicle` ADD `delicate_wheels` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `vehicle` ADD `week_shares` text DEFAULT '[1,1,1,1,1,1,1]' NOT NULL;