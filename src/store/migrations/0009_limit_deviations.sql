ALTER TABLE `features` RENAME COLUMN "lower_mm" TO "lower_deviation_mm";--> statement-breakpoint
ALTER TABLE `features` RENAME COLUMN "upper_mm" TO "upper_deviation_mm";
