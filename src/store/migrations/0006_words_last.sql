ALTER TABLE `finding_verdicts` DROP COLUMN `title`;--> statement-breakpoint
ALTER TABLE `instruments` DROP COLUMN `stand_in_seed`;--> statement-breakpoint
ALTER TABLE `printers` DROP COLUMN `stand_in_seed`;--> statement-breakpoint
ALTER TABLE `ledger_lines` DROP COLUMN `title`;--> statement-breakpoint
ALTER TABLE `ledger_lines` DROP COLUMN `detail`;--> statement-breakpoint
ALTER TABLE `signatures` DROP COLUMN `learned_from_hash`;