CREATE TABLE `laws` (
	`profile_id` integer PRIMARY KEY NOT NULL,
	`evidence_key` text NOT NULL,
	`reading_count` integer NOT NULL,
	`mean` text NOT NULL,
	`covariance` text NOT NULL,
	`prior_mean` text NOT NULL,
	`prior_covariance` text NOT NULL,
	FOREIGN KEY (`profile_id`) REFERENCES `profiles`(`id`) ON UPDATE no action ON DELETE no action
);
