CREATE TABLE `spot_photo` (
	`id` text PRIMARY KEY NOT NULL,
	`vehicle_id` text NOT NULL,
	`removed_ms` integer,
	`spot_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`media_type` text NOT NULL,
	`bytes` blob NOT NULL,
	FOREIGN KEY (`vehicle_id`) REFERENCES `vehicle`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`spot_id`) REFERENCES `spot`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `spot_photo_by_spot` ON `spot_photo` (`spot_id`,`at_ms`);