CREATE TABLE `attempts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`job_id` integer NOT NULL,
	`number` integer NOT NULL,
	`profile_id` integer NOT NULL,
	`lever` text DEFAULT 'drawn' NOT NULL,
	`mesh_hash` text,
	`reason` text DEFAULT '' NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`profile_id`) REFERENCES `profiles`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`mesh_hash`) REFERENCES `meshes`(`hash`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `attempt_numbers` ON `attempts` (`job_id`,`number`);--> statement-breakpoint
CREATE TABLE `drawn_sizes` (
	`attempt_id` integer NOT NULL,
	`feature_id` integer NOT NULL,
	`drawn_mm` real NOT NULL,
	`predicted_mm` real,
	`sd_mm` real,
	`chance` real,
	PRIMARY KEY(`attempt_id`, `feature_id`),
	FOREIGN KEY (`attempt_id`) REFERENCES `attempts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`feature_id`) REFERENCES `features`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `meshes` (
	`hash` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`bytes` integer NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `prints` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`attempt_id` integer NOT NULL,
	`name` text NOT NULL,
	`made_at` integer NOT NULL,
	FOREIGN KEY (`attempt_id`) REFERENCES `attempts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `prints_of_attempt` ON `prints` (`attempt_id`);--> statement-breakpoint
CREATE TABLE `instruments` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`mpe_mm` real NOT NULL,
	`resolution_mm` real NOT NULL,
	`jaw_flat_mm` real,
	`jaw_flat_unknown` integer DEFAULT false NOT NULL,
	`stand_in_seed` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `instruments_name_unique` ON `instruments` (`name`);--> statement-breakpoint
CREATE TABLE `printers` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`pixel_mm` real,
	`stand_in_seed` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `printers_name_unique` ON `printers` (`name`);--> statement-breakpoint
CREATE TABLE `profiles` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`printer_id` integer NOT NULL,
	`resin_id` integer NOT NULL,
	`name` text NOT NULL,
	`layer_mm` real NOT NULL,
	`lot` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`printer_id`) REFERENCES `printers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`resin_id`) REFERENCES `resins`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `profiles_once` ON `profiles` (`printer_id`,`resin_id`,`name`);--> statement-breakpoint
CREATE TABLE `resins` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`linear_shrink` real
);
--> statement-breakpoint
CREATE UNIQUE INDEX `resins_name_unique` ON `resins` (`name`);--> statement-breakpoint
CREATE TABLE `features` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`job_id` integer NOT NULL,
	`position` integer NOT NULL,
	`name` text NOT NULL,
	`sense` text NOT NULL,
	`shape` text NOT NULL,
	`axis` text NOT NULL,
	`angle_rad` real,
	`base` text,
	`target_mm` real NOT NULL,
	`lower_mm` real NOT NULL,
	`upper_mm` real NOT NULL,
	`mate_id` integer,
	`anchor` text,
	`removed_at` integer,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`mate_id`) REFERENCES `mates`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `features_of_job` ON `features` (`job_id`);--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text DEFAULT 'part' NOT NULL,
	`name` text NOT NULL,
	`need` text DEFAULT '' NOT NULL,
	`acceptance` text DEFAULT '' NOT NULL,
	`profile_id` integer,
	`rule` text DEFAULT 'guarded' NOT NULL,
	`solid` text,
	`mesh_hash` text,
	`created_at` integer NOT NULL,
	`archived_at` integer,
	`revision` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`profile_id`) REFERENCES `profiles`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `mates` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`job_id` integer NOT NULL,
	`name` text NOT NULL,
	`size_mm` real,
	`u_mm` real,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `readings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`client_key` text NOT NULL,
	`session_id` integer NOT NULL,
	`feature_id` integer NOT NULL,
	`print_id` integer NOT NULL,
	`reading_mm` real NOT NULL,
	`height_mm` real,
	`taken_at` integer NOT NULL,
	FOREIGN KEY (`session_id`) REFERENCES `sessions`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`feature_id`) REFERENCES `features`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`print_id`) REFERENCES `prints`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `readings_clientKey_unique` ON `readings` (`client_key`);--> statement-breakpoint
CREATE INDEX `readings_of_print` ON `readings` (`print_id`);--> statement-breakpoint
CREATE INDEX `readings_of_feature` ON `readings` (`feature_id`);--> statement-breakpoint
CREATE TABLE `retractions` (
	`reading_id` integer PRIMARY KEY NOT NULL,
	`retracted_at` integer NOT NULL,
	FOREIGN KEY (`reading_id`) REFERENCES `readings`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `sessions` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`job_id` integer NOT NULL,
	`instrument_id` integer NOT NULL,
	`zero_mm` real DEFAULT 0 NOT NULL,
	`part_c` real,
	`instrument_c` real,
	`state` text NOT NULL,
	`warm` integer DEFAULT false NOT NULL,
	`started_at` integer NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `tries` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`client_key` text NOT NULL,
	`feature_id` integer NOT NULL,
	`print_id` integer NOT NULL,
	`word` text NOT NULL,
	`state` text NOT NULL,
	`taken_at` integer NOT NULL,
	FOREIGN KEY (`feature_id`) REFERENCES `features`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`print_id`) REFERENCES `prints`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `tries_clientKey_unique` ON `tries` (`client_key`);--> statement-breakpoint
CREATE INDEX `tries_of_print` ON `tries` (`print_id`);--> statement-breakpoint
CREATE TABLE `ledger_lines` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`job_id` integer NOT NULL,
	`step` text NOT NULL,
	`title` text NOT NULL,
	`detail` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `ledger_of_job` ON `ledger_lines` (`job_id`);--> statement-breakpoint
CREATE TABLE `settings` (
	`name` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `signatures` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`profile_id` integer NOT NULL,
	`learned_from_hash` text NOT NULL,
	`reading_ids` text NOT NULL,
	`report` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`profile_id`) REFERENCES `profiles`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `signatures_once` ON `signatures` (`profile_id`,`learned_from_hash`);