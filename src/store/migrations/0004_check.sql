CREATE TABLE `checks` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`job_id` integer NOT NULL,
	`source` text NOT NULL,
	`stance` text NOT NULL,
	`layer_mm` real NOT NULL,
	`findings` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `checks_of_job` ON `checks` (`job_id`);--> statement-breakpoint
CREATE TABLE `finding_verdicts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`job_id` integer NOT NULL,
	`source` text NOT NULL,
	`key` text NOT NULL,
	`title` text NOT NULL,
	`verdict` text NOT NULL,
	`reason` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `verdicts_of_job` ON `finding_verdicts` (`job_id`);--> statement-breakpoint
ALTER TABLE `printers` ADD `rooms` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `printers` ADD `layer_seconds` real;--> statement-breakpoint
ALTER TABLE `jobs` ADD `stance` text;