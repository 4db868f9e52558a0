CREATE TABLE `strips` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`printer_id` integer NOT NULL,
	`resin_id` integer NOT NULL,
	`unit` text NOT NULL,
	`exposure` real NOT NULL,
	`depth_mm` real NOT NULL,
	`instrument_id` integer NOT NULL,
	`at` integer NOT NULL,
	`retracted_at` integer,
	FOREIGN KEY (`printer_id`) REFERENCES `printers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`resin_id`) REFERENCES `resins`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `strips_of_light` ON `strips` (`printer_id`,`resin_id`);