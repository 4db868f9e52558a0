CREATE TABLE `bottles` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`resin_id` integer NOT NULL,
	`batch` text DEFAULT '' NOT NULL,
	`opened_on` text DEFAULT '' NOT NULL,
	`full_ml` real NOT NULL,
	`left_ml` real NOT NULL,
	`shaken_at` integer,
	`removed_at` integer,
	FOREIGN KEY (`resin_id`) REFERENCES `resins`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `bottles_of_resin` ON `bottles` (`resin_id`);--> statement-breakpoint
CREATE TABLE `proofs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`resin_id` integer NOT NULL,
	`test` text NOT NULL,
	`on` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`due_on` text DEFAULT '' NOT NULL,
	`removed_at` integer,
	FOREIGN KEY (`resin_id`) REFERENCES `resins`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `proofs_of_resin` ON `proofs` (`resin_id`);--> statement-breakpoint
ALTER TABLE `printers` ADD `vat_resin_id` integer REFERENCES resins(id);--> statement-breakpoint
ALTER TABLE `printers` ADD `vat_since` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `resins` ADD `sheet` text DEFAULT '{"family":"general","quotes":[],"cautions":[]}' NOT NULL;--> statement-breakpoint
ALTER TABLE `resins` ADD `recipe` text;--> statement-breakpoint
ALTER TABLE `resins` ADD `removed_at` integer;--> statement-breakpoint
ALTER TABLE `jobs` ADD `requirement` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `strain_asked` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `resin_chosen_id` integer REFERENCES resins(id);