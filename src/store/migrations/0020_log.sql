CREATE TABLE `care_done` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`printer_id` integer NOT NULL,
	`kind` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`at` integer NOT NULL,
	`retracted_at` integer,
	FOREIGN KEY (`printer_id`) REFERENCES `printers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `care_of_printer` ON `care_done` (`printer_id`);--> statement-breakpoint
CREATE TABLE `causes_found` (
	`run_id` integer PRIMARY KEY NOT NULL,
	`cause` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `failure_tests` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`run_id` integer NOT NULL,
	`test` text NOT NULL,
	`outcome` text NOT NULL,
	`at` integer NOT NULL,
	`retracted_at` integer,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `tests_of_run` ON `failure_tests` (`run_id`);--> statement-breakpoint
CREATE TABLE `failures` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`client_key` text NOT NULL,
	`run_id` integer NOT NULL,
	`piece_id` integer,
	`kind` text NOT NULL,
	`layer` integer,
	`part_x_mm` real,
	`part_y_mm` real,
	`note` text DEFAULT '' NOT NULL,
	`at` integer NOT NULL,
	`retracted_at` integer,
	FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`piece_id`) REFERENCES `run_pieces`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `failures_clientKey_unique` ON `failures` (`client_key`);--> statement-breakpoint
CREATE INDEX `failures_of_run` ON `failures` (`run_id`);--> statement-breakpoint
ALTER TABLE `runs` ADD `well_at` integer;