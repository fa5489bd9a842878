PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_vehicle` (
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
	`protections` text DEFAULT '[]' NOT NULL,
	`delicate_wheels` integer DEFAULT false NOT NULL,
	`has_charge_port` integer DEFAULT false NOT NULL,
	`driving` text NOT NULL,
	`week_shares` text DEFAULT '[1,1,1,1,1,1,1]' NOT NULL,
	`stands_at_place_id` text,
	`cadence_days` real NOT NULL,
	`target` text DEFAULT '{"kind":"days"}' NOT NULL,
	`season_jobs` text DEFAULT '["underbody","anti-corrosion","top-up","decontaminate","polish","re-coat","engine-bay"]' NOT NULL,
	`customer_id` text,
	`known_since_ms` integer NOT NULL,
	`removed_ms` integer,
	FOREIGN KEY (`stands_at_place_id`) REFERENCES `place`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_vehicle`("id", "name", "colour_name", "keeper", "notes", "body_class", "paint_tone", "body_material", "protection", "water_behaviour", "protections", "delicate_wheels", "has_charge_port", "driving", "week_shares", "stands_at_place_id", "cadence_days", "target", "season_jobs", "customer_id", "known_since_ms", "removed_ms") SELECT "id", "name", "colour_name", "keeper", "notes", "body_class", "paint_tone", "body_material", "protection", "water_behaviour", "protections", "delicate_wheels", "has_charge_port", "driving", "week_shares", "stands_at_place_id", "cadence_days", "target", "season_jobs", "customer_id", "known_since_ms", "removed_ms" FROM `vehicle`;--> statement-breakpoint
DROP TABLE `vehicle`;--> statement-breakpoint
ALTER TABLE `__new_vehicle` RENAME TO `vehicle`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
ALTER TABLE `place` ADD `site_soap` text DEFAULT 'ordinary' NOT NULL;--> statement-breakpoint
ALTER TABLE `place` ADD `bucket_water` text DEFAULT 'brought' NOT NULL;