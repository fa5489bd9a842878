CREATE TABLE `gear` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`count` integer NOT NULL,
	`clean_count` integer NOT NULL,
	`volume_ml` real,
	`output_litres_per_bottle` real,
	`life_litres` real,
	`litres_used` real NOT NULL,
	`notes` text NOT NULL,
	`removed_ms` integer
);
--> statement-breakpoint
CREATE TABLE `product` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`in_use_ph` real NOT NULL,
	`usual_parts` real NOT NULL,
	`fewest_parts` real NOT NULL,
	`most_parts` real NOT NULL,
	`cap_ml` real,
	`dwell` text,
	`lowest_work_c` real,
	`lowest_store_c` real,
	`kept_in` text NOT NULL,
	`bottle_ml` real NOT NULL,
	`left_ml` real NOT NULL,
	`low_ml` real NOT NULL,
	`price_minor` integer NOT NULL,
	`notes` text NOT NULL,
	`removed_ms` integer
);
--> statement-breakpoint
ALTER TABLE `vehicle` ADD `has_charge_port` integer DEFAULT false NOT NULL;