CREATE TABLE `taps` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`tap_key` text NOT NULL,
	`answer` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `taps_tapKey_unique` ON `taps` (`tap_key`);--> statement-breakpoint
ALTER TABLE `care_done` ADD `after_failure_id` integer REFERENCES failures(id);--> statement-breakpoint
ALTER TABLE `clearings` ADD `failure_id` integer REFERENCES failures(id);--> statement-breakpoint
ALTER TABLE `clearings` ADD `retracted_at` integer;--> statement-breakpoint
ALTER TABLE `consumables` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `runs` ADD `is_clock_changed` integer DEFAULT false NOT NULL;--> statement-breakpoint
UPDATE `care_done` SET `after_failure_id` = (SELECT max(`id`) FROM `failures` WHERE `failures`.`at` <= `care_done`.`at`);--> statement-breakpoint
UPDATE `clearings` SET `failure_id` = (
	SELECT max(`failures`.`id`) FROM `failures`
	JOIN `runs` ON `runs`.`id` = `failures`.`run_id`
	JOIN `profiles` ON `profiles`.`id` = `runs`.`profile_id`
	WHERE `profiles`.`printer_id` = `clearings`.`printer_id` AND `failures`.`at` <= `clearings`.`at`
		AND `failures`.`kind` IN ('notStuck', 'sheared', 'missingRegion', 'missingLayers', 'stuckInVat', 'stopped')
);--> statement-breakpoint
UPDATE `clearings` SET `retracted_at` = (
	SELECT max(`retracted_at`) FROM `care_done`
	WHERE `care_done`.`printer_id` = `clearings`.`printer_id` AND `kind` = 'clearVat' AND `care_done`.`retracted_at` >= `clearings`.`at`
);
