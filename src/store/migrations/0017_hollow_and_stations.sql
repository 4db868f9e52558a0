CREATE TABLE `simulated_stations` (
	`station` text PRIMARY KEY NOT NULL,
	`load` text NOT NULL,
	`seconds` real NOT NULL,
	`speed` real NOT NULL,
	`started_at` integer NOT NULL,
	`opened_at` integer
);
--> statement-breakpoint
ALTER TABLE `run_pieces` ADD `wall_mm` real;