CREATE TABLE `__new_signatures` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`profile_id` integer NOT NULL,
	`evidence_key` text NOT NULL,
	`reading_count` integer NOT NULL,
	`last_reading_id` integer NOT NULL,
	`summary` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`profile_id`) REFERENCES `profiles`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_signatures` (`id`, `profile_id`, `evidence_key`, `reading_count`, `last_reading_id`, `summary`, `created_at`)
SELECT `id`, `profile_id`, `evidence_key`, json_array_length(`reading_ids`),
	coalesce((SELECT max(`value`) FROM json_each(`signatures`.`reading_ids`)), 0),
	json_set(json_remove(`report`, '$.features', '$.targets', '$.suspicious', '$.jointInTolerance'),
		'$.covariance', json('[]'), '$.stateShift', json('[]')),
	`created_at`
FROM `signatures`;
--> statement-breakpoint
DROP TABLE `signatures`;
--> statement-breakpoint
ALTER TABLE `__new_signatures` RENAME TO `signatures`;
--> statement-breakpoint
CREATE UNIQUE INDEX `signatures_once` ON `signatures` (`profile_id`,`evidence_key`);
