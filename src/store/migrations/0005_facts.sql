DROP INDEX `signatures_once`;--> statement-breakpoint
ALTER TABLE `signatures` ADD `evidence_key` text DEFAULT '' NOT NULL;--> statement-breakpoint
UPDATE `signatures` SET `evidence_key` = `learned_from_hash`;--> statement-breakpoint
CREATE UNIQUE INDEX `signatures_once` ON `signatures` (`profile_id`,`evidence_key`);--> statement-breakpoint
ALTER TABLE `finding_verdicts` ADD `finding` text DEFAULT '{"code":"told","title":""}' NOT NULL;--> statement-breakpoint
UPDATE `finding_verdicts` SET `finding` = json_object('code', 'told', 'title', `title`);--> statement-breakpoint
ALTER TABLE `instruments` ADD `simulated_seed` integer;--> statement-breakpoint
UPDATE `instruments` SET `simulated_seed` = `stand_in_seed`;--> statement-breakpoint
ALTER TABLE `printers` ADD `simulated_seed` integer;--> statement-breakpoint
UPDATE `printers` SET `simulated_seed` = `stand_in_seed`;--> statement-breakpoint
ALTER TABLE `profiles` ADD `evidence_key` text DEFAULT '' NOT NULL;--> statement-breakpoint
UPDATE `profiles` SET `evidence_key` = lower(hex(randomblob(16)));--> statement-breakpoint
ALTER TABLE `ledger_lines` ADD `entry` text DEFAULT '{"code":"told","title":"","detail":""}' NOT NULL;--> statement-breakpoint
UPDATE `ledger_lines` SET `entry` = json_object('code', 'told', 'title', `title`, 'detail', `detail`);
