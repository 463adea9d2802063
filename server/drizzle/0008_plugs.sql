CREATE TABLE `plugs` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`name` text NOT NULL,
	`circuit_id` text NOT NULL,
	`address` text NOT NULL,
	`armed` integer NOT NULL,
	`made_at` integer NOT NULL,
	`tried_at` integer,
	`told_at` integer,
	`told` text,
	`sent_at` integer,
	`trouble` text,
	`reason` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `plugs_timer` ON `plugs` (`home_id`,`circuit_id`);--> statement-breakpoint
CREATE UNIQUE INDEX `plugs_address` ON `plugs` (`address`);