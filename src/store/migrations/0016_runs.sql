CREATE TABLE `part_layers` (
	`part` text NOT NULL,
	`layer_mm` real NOT NULL,
	`areas_mm2` text NOT NULL,
	`size_mm` text NOT NULL,
	`volume_mm3` real NOT NULL,
	`surface_mm2` real NOT NULL,
	`read_at` integer NOT NULL,
	PRIMARY KEY(`part`, `layer_mm`)
);
--> statement-breakpoint
CREATE TABLE `pours` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`client_key` text NOT NULL,
	`run_id` integer NOT NULL,
	`bottle_id` integer,
	`ml` real NOT NULL,
	`layer` integer,
	`at` integer NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`bottle_id`) REFERENCES `bottles`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `pours_clientKey_unique` ON `pours` (`client_key`);--> statement-breakpoint
CREATE INDEX `pours_of_run` ON `pours` (`run_id`);--> statement-breakpoint
CREATE TABLE `run_pieces` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`run_id` integer NOT NULL,
	`attempt_id` integer NOT NULL,
	`x_mm` real NOT NULL,
	`y_mm` real NOT NULL,
	`is_turned` integer DEFAULT false NOT NULL,
	`print_id` integer,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`attempt_id`) REFERENCES `attempts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`print_id`) REFERENCES `prints`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `pieces_of_run` ON `run_pieces` (`run_id`);--> statement-breakpoint
CREATE INDEX `pieces_of_attempt` ON `run_pieces` (`attempt_id`);--> statement-breakpoint
CREATE TABLE `runs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`profile_id` integer NOT NULL,
	`created_at` integer NOT NULL,
	`planned_for` integer,
	`started_at` integer,
	`ended_at` integer,
	`outcome` text,
	`is_timed` integer DEFAULT false NOT NULL,
	`plan` text,
	`heard_at` integer,
	`heard_layer` integer,
	`stopped_layer` integer,
	`end_reason` text DEFAULT '' NOT NULL,
	`bottle_id` integer,
	`room_c` real,
	`gate` text DEFAULT '{}' NOT NULL,
	`put_away_at` integer,
	FOREIGN KEY (`profile_id`) REFERENCES `profiles`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`bottle_id`) REFERENCES `bottles`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `runs_of_profile` ON `runs` (`profile_id`);--> statement-breakpoint
CREATE TABLE `simulated_runs` (
	`printer_id` integer PRIMARY KEY NOT NULL,
	`file` text NOT NULL,
	`layers` integer NOT NULL,
	`real_s` real NOT NULL,
	`speed` real NOT NULL,
	`started_at` integer NOT NULL,
	`stopped_layer` integer,
	`silent_until` integer,
	FOREIGN KEY (`printer_id`) REFERENCES `printers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `vats` (
	`printer_id` integer PRIMARY KEY NOT NULL,
	`capacity_ml` real NOT NULL,
	`floor_ml` real NOT NULL,
	`level_ml` real NOT NULL,
	`read` text NOT NULL,
	`lots` text DEFAULT '[]' NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`printer_id`) REFERENCES `printers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `weighings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`run_id` integer NOT NULL,
	`supports` real NOT NULL,
	`parts` real NOT NULL,
	`unit` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `weighings_of_run` ON `weighings` (`run_id`);--> statement-breakpoint
ALTER TABLE `print_steps` ADD `shared_key` text;--> statement-breakpoint
ALTER TABLE `prints` ADD `run_id` integer;--> statement-breakpoint
ALTER TABLE `prints` ADD `is_turned` integer DEFAULT false NOT NULL;