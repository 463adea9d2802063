ALTER TABLE `journal` RENAME TO `earlier_journal`;
--> statement-breakpoint
DROP INDEX `journal_id_unique`;
--> statement-breakpoint
DROP INDEX `journal_undoes_unique`;
--> statement-breakpoint
DROP INDEX `journal_home`;
--> statement-breakpoint
DROP TABLE `journal_plants`;
--> statement-breakpoint
CREATE TABLE `answers` (
	`home_id` text NOT NULL,
	`revision` integer NOT NULL,
	`engine` text NOT NULL,
	`question` text NOT NULL,
	`body` blob NOT NULL,
	`used_at` real NOT NULL,
	PRIMARY KEY(`home_id`, `revision`, `engine`, `question`)
);
--> statement-breakpoint
CREATE TABLE `facts` (
	`sequence` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`home_id` text NOT NULL,
	`list` text NOT NULL,
	`id` text NOT NULL,
	`body` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `facts_key` ON `facts` (`home_id`,`list`,`id`);--> statement-breakpoint
CREATE TABLE `files` (
	`home_id` text NOT NULL,
	`key` text NOT NULL,
	`kind` text NOT NULL,
	`bytes` integer NOT NULL,
	`added_at` integer NOT NULL,
	`content` blob NOT NULL,
	PRIMARY KEY(`home_id`, `key`)
);
--> statement-breakpoint
CREATE TABLE `journal` (
	`sequence` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`home_id` text NOT NULL,
	`revision` integer NOT NULL,
	`at` integer NOT NULL,
	`kind` text NOT NULL,
	`summary` text NOT NULL,
	`undoes` text,
	`touched` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `journal_id_unique` ON `journal` (`id`);--> statement-breakpoint
CREATE UNIQUE INDEX `journal_revision` ON `journal` (`home_id`,`revision`);--> statement-breakpoint
CREATE INDEX `journal_undoes` ON `journal` (`undoes`);--> statement-breakpoint
CREATE TABLE `journal_changes` (
	`sequence` integer NOT NULL,
	`place` integer NOT NULL,
	`list` text NOT NULL,
	`id` text NOT NULL,
	`before` text,
	`after` text,
	PRIMARY KEY(`sequence`, `place`),
	FOREIGN KEY (`sequence`) REFERENCES `journal`(`sequence`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `journal_changes_entry` ON `journal_changes` (`list`,`id`,`sequence`);--> statement-breakpoint
CREATE TABLE `records` (
	`sequence` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`home_id` text NOT NULL,
	`kind` text NOT NULL,
	`at` integer NOT NULL,
	`plant_id` text,
	`spot_id` text,
	`room_id` text,
	`body` text NOT NULL,
	`written_at` integer NOT NULL,
	`withdrawn_at` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `records_id` ON `records` (`home_id`,`id`);--> statement-breakpoint
CREATE INDEX `records_at` ON `records` (`home_id`,`at`);--> statement-breakpoint
CREATE INDEX `records_plant` ON `records` (`home_id`,`plant_id`,`at`);--> statement-breakpoint
CREATE INDEX `records_spot` ON `records` (`home_id`,`spot_id`,`at`);--> statement-breakpoint
CREATE INDEX `records_room` ON `records` (`home_id`,`room_id`,`at`);--> statement-breakpoint
CREATE INDEX `records_kind` ON `records` (`home_id`,`kind`,`at`);--> statement-breakpoint
CREATE TABLE `requests` (
	`home_id` text NOT NULL,
	`key` text NOT NULL,
	`at` integer NOT NULL,
	`made` text NOT NULL,
	PRIMARY KEY(`home_id`, `key`)
);
--> statement-breakpoint
CREATE INDEX `requests_at` ON `requests` (`at`);--> statement-breakpoint
CREATE TABLE `samples` (
	`series` integer NOT NULL,
	`day` integer NOT NULL,
	`count` integer NOT NULL,
	`first_at` integer NOT NULL,
	`last_at` integer NOT NULL,
	`packed` blob NOT NULL,
	`hours` blob NOT NULL,
	PRIMARY KEY(`series`, `day`),
	FOREIGN KEY (`series`) REFERENCES `series`(`sequence`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `series` (
	`sequence` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`home_id` text NOT NULL,
	`name` text NOT NULL,
	`quantity` text NOT NULL,
	`room_id` text,
	`spot_id` text,
	`plant_id` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `series_id` ON `series` (`home_id`,`id`);