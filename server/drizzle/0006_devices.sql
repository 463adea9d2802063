CREATE TABLE `devices` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`name` text NOT NULL,
	`room_id` text,
	`spot_id` text,
	`token_hash` text NOT NULL,
	`made_at` integer NOT NULL,
	`last_seen_at` integer,
	`battery` real
);
--> statement-breakpoint
CREATE UNIQUE INDEX `devices_token` ON `devices` (`token_hash`);--> statement-breakpoint
CREATE INDEX `devices_home` ON `devices` (`home_id`,`made_at`);