CREATE TABLE `print_steps` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`client_key` text NOT NULL,
	`print_id` integer NOT NULL,
	`step` text NOT NULL,
	`planned_s` integer,
	`started_at` integer NOT NULL,
	`ended_at` integer,
	`given` text DEFAULT '' NOT NULL,
	`retracted_at` integer,
	FOREIGN KEY (`print_id`) REFERENCES `prints`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `print_steps_clientKey_unique` ON `print_steps` (`client_key`);--> statement-breakpoint
CREATE INDEX `steps_of_print` ON `print_steps` (`print_id`);