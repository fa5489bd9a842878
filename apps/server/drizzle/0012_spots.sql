CREATE TABLE `spot` (
	`id` text PRIMARY KEY NOT NULL,
	`vehicle_id` text NOT NULL,
	`removed_ms` integer,
	`at_ms` integer NOT NULL,
	`zone` text NOT NULL,
	`age` text NOT NULL,
	`material` text NOT NULL,
	`cause` text NOT NULL,
	`done` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`vehicle_id`) REFERENCES `vehicle`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `spot_by_vehicle` ON `spot` (`vehicle_id`,`at_ms`);