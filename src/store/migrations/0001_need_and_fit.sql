CREATE TABLE `joints` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`job_id` integer NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`gap_mm` real NOT NULL,
	`height_gap_mm` real,
	`pin_mm` real NOT NULL,
	`span_mm` real NOT NULL,
	`scale` real DEFAULT 1 NOT NULL,
	`most_angle_deg` real,
	`most_lateral_mm` real,
	`freed` text DEFAULT 'green' NOT NULL,
	`removed_at` integer,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `joints_of_job` ON `joints` (`job_id`);--> statement-breakpoint
CREATE TABLE `body_readings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`client_key` text NOT NULL,
	`job_id` integer NOT NULL,
	`measure` text NOT NULL,
	`level` integer NOT NULL,
	`turn` integer NOT NULL,
	`reading_mm` real NOT NULL,
	`read_as` text DEFAULT 'diameter' NOT NULL,
	`instrument_id` integer NOT NULL,
	`taken_at` integer NOT NULL,
	`retracted_at` integer,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`instrument_id`) REFERENCES `instruments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `body_readings_clientKey_unique` ON `body_readings` (`client_key`);--> statement-breakpoint
CREATE INDEX `body_readings_of_job` ON `body_readings` (`job_id`);--> statement-breakpoint
CREATE TABLE `rungs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`client_key` text NOT NULL,
	`print_id` integer NOT NULL,
	`rung` integer NOT NULL,
	`outcome` text NOT NULL,
	`state` text NOT NULL,
	`taken_at` integer NOT NULL,
	FOREIGN KEY (`print_id`) REFERENCES `prints`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `rungs_clientKey_unique` ON `rungs` (`client_key`);--> statement-breakpoint
CREATE INDEX `rungs_of_print` ON `rungs` (`print_id`);--> statement-breakpoint
CREATE TABLE `acceptance_answers` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`job_id` integer NOT NULL,
	`print_id` integer NOT NULL,
	`test` text NOT NULL,
	`answer` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`print_id`) REFERENCES `prints`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `answers_of_job` ON `acceptance_answers` (`job_id`);--> statement-breakpoint
CREATE TABLE `pictures` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`job_id` integer NOT NULL,
	`hash` text NOT NULL,
	`type` text NOT NULL,
	`caption` text DEFAULT '' NOT NULL,
	`added_at` integer NOT NULL,
	`removed_at` integer,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `pictures_of_job` ON `pictures` (`job_id`);--> statement-breakpoint
ALTER TABLE `prints` ADD `broken_note` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `resins` ADD `modulus_m_pa` real;--> statement-breakpoint
ALTER TABLE `resins` ADD `strength_m_pa` real;--> statement-breakpoint
ALTER TABLE `resins` ADD `break_strain` real;--> statement-breakpoint
ALTER TABLE `features` ADD `wish` text;--> statement-breakpoint
ALTER TABLE `features` ADD `band_low_mm` real;--> statement-breakpoint
ALTER TABLE `features` ADD `band_high_mm` real;--> statement-breakpoint
ALTER TABLE `features` ADD `iso_fit` text;--> statement-breakpoint
ALTER TABLE `features` ADD `ruin` text DEFAULT 'none' NOT NULL;--> statement-breakpoint
ALTER TABLE `features` ADD `coat_mm` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `features` ADD `sheet_feature` text;--> statement-breakpoint
ALTER TABLE `jobs` ADD `quantity` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `due_on` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `seen_faces` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `hottest_c` real;--> statement-breakpoint
ALTER TABLE `jobs` ADD `hottest_when` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `fit_c` real;--> statement-breakpoint
ALTER TABLE `jobs` ADD `load_words` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `load_n` real;--> statement-breakpoint
ALTER TABLE `jobs` ADD `claims` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `need_changed_at` integer;--> statement-breakpoint
ALTER TABLE `jobs` ADD `sheet` text;--> statement-breakpoint
ALTER TABLE `jobs` ADD `gauge` text;--> statement-breakpoint
ALTER TABLE `mates` ADD `material` text DEFAULT 'other' NOT NULL;--> statement-breakpoint
ALTER TABLE `mates` ADD `origin` text DEFAULT 'bought' NOT NULL;--> statement-breakpoint
ALTER TABLE `mates` ADD `irreplaceable` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `mates` ADD `measure` text;--> statement-breakpoint
ALTER TABLE `tries` ADD `push_n` real;
--> statement-breakpoint
UPDATE `jobs` SET `solid` = json_object('kind', 'turned', 'sections', json_array(json_object(
  'outer', json_object('feature', json_extract(`solid`, '$.outer')),
  'inner', json_object('feature', json_extract(`solid`, '$.bore')),
  'height', json_object('feature', json_extract(`solid`, '$.height'))
))) WHERE json_extract(`solid`, '$.kind') = 'ring';
