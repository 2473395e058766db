CREATE TABLE `house` (
	`id` integer PRIMARY KEY NOT NULL,
	`store` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `make_states` (
	`make` text PRIMARY KEY NOT NULL,
	`open` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `marks` (
	`seq` integer PRIMARY KEY NOT NULL,
	`mark` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `documents` ADD `seq` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `documents` ADD `deleted_at` text;--> statement-breakpoint
CREATE INDEX `documents_by_seq` ON `documents` (`seq`);--> statement-breakpoint
ALTER TABLE `events` ADD `kind` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `events` ADD `n` integer DEFAULT 0 NOT NULL;