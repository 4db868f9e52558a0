CREATE TABLE `check_readings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`client_key` text NOT NULL,
	`instrument_id` integer NOT NULL,
	`jaw` text NOT NULL,
	`piece` text NOT NULL,
	`known_mm` real NOT NULL,
	`u_mm` real NOT NULL,
	`reading_mm` real NOT NULL,
	`taken_at` integer NOT NULL,
	`retracted_at` integer,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `check_readings_clientKey_unique` ON `check_readings` (`client_key`);--> statement-breakpoint
CREATE INDEX `check_readings_of_instrument` ON `check_readings` (`instrument_id`);