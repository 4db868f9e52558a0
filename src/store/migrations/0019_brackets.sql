CREATE TABLE `bracket_gauges` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`profile_id` integer NOT NULL,
	`exposure_s` real NOT NULL,
	`held` integer NOT NULL,
	`bridged` integer,
	`wall_mm` real,
	`at` integer NOT NULL,
	`retracted_at` integer,
	FOREIGN KEY (`profile_id`) REFERENCES `profiles`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `gauges_of_bracket` ON `bracket_gauges` (`profile_id`);