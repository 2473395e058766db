CREATE TABLE `paired_devices` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`token_hash` text NOT NULL,
	`paired_at` text NOT NULL,
	`seen_at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `paired_devices_token_hash_unique` ON `paired_devices` (`token_hash`);