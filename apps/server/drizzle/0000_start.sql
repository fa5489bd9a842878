CREATE TABLE `forecast_run` (
	`issued_ms` integer PRIMARY KEY NOT NULL,
	`source` text NOT NULL,
	`members` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `place` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`notes` text NOT NULL,
	`kind` text NOT NULL,
	`latitude_deg` real NOT NULL,
	`longitude_deg` real NOT NULL,
	`time_zone` text NOT NULL,
	`climate` text NOT NULL,
	`shelter` text NOT NULL,
	`car_heading_deg` real NOT NULL,
	`has_drain` integer NOT NULL,
	`has_light` integer NOT NULL,
	`tap` text NOT NULL,
	`open_hours` text NOT NULL,
	`wash_water` text NOT NULL,
	`final_rinse` text,
	`methods` text NOT NULL,
	`travel_minutes` real NOT NULL,
	`removed_ms` integer
);
--> statement-breakpoint
CREATE TABLE `setting` (
	`key` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `vehicle` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`colour_name` text NOT NULL,
	`keeper` text NOT NULL,
	`notes` text NOT NULL,
	`body_class` text NOT NULL,
	`paint_tone` text NOT NULL,
	`body_material` text NOT NULL,
	`protection` text NOT NULL,
	`water_behaviour` text NOT NULL,
	`driving` text NOT NULL,
	`stands_at_place_id` text,
	`cadence_days` real NOT NULL,
	`known_since_ms` integer NOT NULL,
	`removed_ms` integer,
	FOREIGN KEY (`stands_at_place_id`) REFERENCES `place`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `wash` (
	`id` text PRIMARY KEY NOT NULL,
	`vehicle_id` text NOT NULL,
	`place_id` text NOT NULL,
	`method_id` text NOT NULL,
	`status` text NOT NULL,
	`start_ms` integer NOT NULL,
	`minutes` real NOT NULL,
	`cost_minor` integer,
	`predicted` text,
	`found` text,
	`removed_ms` integer,
	FOREIGN KEY (`vehicle_id`) REFERENCES `vehicle`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`place_id`) REFERENCES `place`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `wash_by_vehicle` ON `wash` (`vehicle_id`,`start_ms`);--> statement-breakpoint
CREATE INDEX `wash_by_start` ON `wash` (`start_ms`);--> statement-breakpoint
CREATE TABLE `weather_hour` (
	`at_ms` integer PRIMARY KEY NOT NULL,
	`source` text NOT NULL,
	`hour` text NOT NULL
);
