CREATE TABLE `printed_features` (
	`print_id` integer NOT NULL,
	`feature_id` integer NOT NULL,
	`sense` text NOT NULL,
	`shape` text NOT NULL,
	`axis` text NOT NULL,
	`angle_rad` real,
	`base` text,
	`anchor` text,
	PRIMARY KEY(`print_id`, `feature_id`),
	FOREIGN KEY (`print_id`) REFERENCES `prints`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`feature_id`) REFERENCES `features`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `drawn_joints` (
	`attempt_id` integer NOT NULL,
	`joint_id` integer NOT NULL,
	`gap_mm` real NOT NULL,
	`height_gap_mm` real,
	`scale` real NOT NULL,
	`free` real,
	PRIMARY KEY(`attempt_id`, `joint_id`),
	FOREIGN KEY (`attempt_id`) REFERENCES `attempts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`joint_id`) REFERENCES `joints`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `joint_outcomes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`client_key` text NOT NULL,
	`joint_id` integer NOT NULL,
	`print_id` integer NOT NULL,
	`outcome` text NOT NULL,
	`play_mm` real,
	`play_deg` real,
	`state` text NOT NULL,
	`taken_at` integer NOT NULL,
	FOREIGN KEY (`joint_id`) REFERENCES `joints`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`print_id`) REFERENCES `prints`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `joint_outcomes_clientKey_unique` ON `joint_outcomes` (`client_key`);--> statement-breakpoint
CREATE INDEX `joint_outcomes_of_print` ON `joint_outcomes` (`print_id`);--> statement-breakpoint
ALTER TABLE `prints` ADD `run` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `prints` ADD `copy` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `prints` ADD `despite` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `instruments` ADD `steel` integer DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE `printers` ADD `light_nm` real;--> statement-breakpoint
ALTER TABLE `jobs` ADD `seen_directions` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `fit_state` text DEFAULT 'cured' NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `agreed_classes` text;--> statement-breakpoint
ALTER TABLE `tries` ADD `warm` integer DEFAULT false NOT NULL;--> statement-breakpoint
INSERT INTO `printed_features` (`print_id`, `feature_id`, `sense`, `shape`, `axis`, `angle_rad`, `base`, `anchor`) SELECT `prints`.`id`, `features`.`id`, `features`.`sense`, `features`.`shape`, `features`.`axis`, `features`.`angle_rad`, `features`.`base`, `features`.`anchor` FROM `prints` JOIN `drawn_sizes` ON `drawn_sizes`.`attempt_id` = `prints`.`attempt_id` JOIN `features` ON `features`.`id` = `drawn_sizes`.`feature_id`;--> statement-breakpoint
UPDATE `prints` SET `run` = (SELECT count(*) FROM `prints` AS `earlier` WHERE `earlier`.`attempt_id` = `prints`.`attempt_id` AND `earlier`.`id` <= `prints`.`id`);
