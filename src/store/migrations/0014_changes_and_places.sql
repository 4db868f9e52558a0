CREATE TABLE `foreign_laws` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`printer_id` integer,
	`resin_id` integer,
	`mean` text NOT NULL,
	`covariance` text NOT NULL,
	`added_at` integer NOT NULL,
	`removed_at` integer,
	FOREIGN KEY (`printer_id`) REFERENCES `printers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`resin_id`) REFERENCES `resins`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `profile_changes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`profile_id` integer NOT NULL,
	`kinds` text NOT NULL,
	`at` integer NOT NULL,
	`before` text NOT NULL,
	`after` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`noted_at` integer NOT NULL,
	`retracted_at` integer,
	FOREIGN KEY (`profile_id`) REFERENCES `profiles`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `changes_of_profile` ON `profile_changes` (`profile_id`);--> statement-breakpoint
ALTER TABLE `printed_features` ADD `offset_x_mm` real;--> statement-breakpoint
ALTER TABLE `printed_features` ADD `offset_y_mm` real;--> statement-breakpoint
ALTER TABLE `printed_features` ADD `expected_mm` real;--> statement-breakpoint
ALTER TABLE `printed_features` ADD `expected_sd_mm` real;--> statement-breakpoint
ALTER TABLE `prints` ADD `place_x_mm` real;--> statement-breakpoint
ALTER TABLE `prints` ADD `place_y_mm` real;--> statement-breakpoint
ALTER TABLE `prints` ADD `room_c` real;--> statement-breakpoint
ALTER TABLE `profiles` ADD `settings` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `profiles` ADD `control_feature_id` integer;