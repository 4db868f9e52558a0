ALTER TABLE `jobs` ADD `overtaken_attempt_id` integer;--> statement-breakpoint
ALTER TABLE `sessions` ADD `print_id` integer REFERENCES prints(id);--> statement-breakpoint
UPDATE `sessions` SET `print_id` = (SELECT max(`prints`.`id`) FROM `prints` JOIN `attempts` ON `prints`.`attempt_id` = `attempts`.`id` WHERE `attempts`.`job_id` = `sessions`.`job_id` AND `prints`.`made_at` <= `sessions`.`started_at`);--> statement-breakpoint
UPDATE `jobs` SET `overtaken_attempt_id` = (SELECT `attempts`.`id` FROM `attempts` WHERE `attempts`.`job_id` = `jobs`.`id` AND `attempts`.`created_at` < `jobs`.`need_changed_at` ORDER BY `attempts`.`number` DESC LIMIT 1) WHERE `need_changed_at` IS NOT NULL;
