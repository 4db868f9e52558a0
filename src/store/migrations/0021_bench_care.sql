CREATE TABLE `clearings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`printer_id` integer NOT NULL,
	`step` text NOT NULL,
	`is_well` integer NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`printer_id`) REFERENCES `printers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `clearings_of_printer` ON `clearings` (`printer_id`);--> statement-breakpoint
CREATE TABLE `consumables` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`unit` text NOT NULL,
	`counted` real NOT NULL,
	`counted_at` integer NOT NULL,
	`per_print` real NOT NULL,
	`lead_days` real NOT NULL,
	`put_away_at` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `consumables_name_unique` ON `consumables` (`name`);--> statement-breakpoint
ALTER TABLE `printers` ADD `added_at` integer;--> statement-breakpoint
ALTER TABLE `printers` ADD `card` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `printers` ADD `trouble` text;--> statement-breakpoint
ALTER TABLE `care_done` ADD `is_well` integer DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE `pictures` ADD `run_id` integer REFERENCES runs(id);