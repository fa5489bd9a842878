CREATE TABLE `sight` (
	`id` text PRIMARY KEY NOT NULL,
	`at_ms` integer NOT NULL,
	`air_temp_c` real,
	`wind_metres_per_second` real,
	`cloud_fraction` real,
	`falling` text,
	`road_class` text,
	`road_state` text,
	`removed_ms` integer
);
--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_forecast_run` (
	`source` text NOT NULL,
	`issued_ms` integer NOT NULL,
	`members` text NOT NULL,
	PRIMARY KEY(`source`, `issued_ms`)
);
--> statement-breakpoint
INSERT INTO `__new_forecast_run`("source", "issued_ms", "members") SELECT "source", "issued_ms", "members" FROM `forecast_run`;--> statement-breakpoint
DROP TABLE `forecast_run`;--> statement-breakpoint
ALTER TABLE `__new_forecast_run` RENAME TO `forecast_run`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE TABLE `__new_weather_hour` (
	`source` text NOT NULL,
	`at_ms` integer NOT NULL,
	`hour` text NOT NULL,
	PRIMARY KEY(`source`, `at_ms`)
);
--> statement-breakpoint
INSERT INTO `__new_weather_hour`("source", "at_ms", "hour") SELECT "source", "at_ms", "hour" FROM `weather_hour`;--> statement-breakpoint
DROP TABLE `weather_hour`;--> statement-breakpoint
ALTER TABLE `__new_weather_hour` RENAME TO `weather_hour`;