CREATE TABLE `blocks` (
	`id` text PRIMARY KEY NOT NULL,
	`room_id` text NOT NULL,
	`name` text NOT NULL,
	`x_m` real NOT NULL,
	`y_m` real NOT NULL,
	`z_m` real NOT NULL,
	`width_m` real NOT NULL,
	`depth_m` real NOT NULL,
	`height_m` real NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `blocks_room` ON `blocks` (`room_id`);--> statement-breakpoint
CREATE TABLE `obstructions` (
	`id` text PRIMARY KEY NOT NULL,
	`room_id` text NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`from_bearing` real NOT NULL,
	`to_bearing` real NOT NULL,
	`height_deg` real NOT NULL,
	`reflectance` real NOT NULL,
	`leaf_months` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `obstructions_room` ON `obstructions` (`room_id`);--> statement-breakpoint
CREATE TABLE `photometries` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`name` text NOT NULL,
	`lumens` real NOT NULL,
	`power_w` real NOT NULL,
	`length_m` real NOT NULL,
	`breadth_m` real NOT NULL,
	`planes` text NOT NULL,
	`angles` text NOT NULL,
	`candela` text NOT NULL,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photometries_home` ON `photometries` (`home_id`);--> statement-breakpoint
CREATE TABLE `readings` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`spot_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`value` real NOT NULL,
	`unit` text NOT NULL,
	`sky` text NOT NULL,
	`outdoor_value` real,
	`curtains` text NOT NULL,
	`lamps` text NOT NULL,
	`note` text NOT NULL,
	`withdrawn_on` text,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `readings_home` ON `readings` (`home_id`);--> statement-breakpoint
CREATE TABLE `weathers` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`name` text NOT NULL,
	`latitude` real NOT NULL,
	`longitude` real NOT NULL,
	`elevation_m` real NOT NULL,
	`utc_offset_h` real NOT NULL,
	`years` text NOT NULL,
	`hours` text NOT NULL,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `weathers_home` ON `weathers` (`home_id`);--> statement-breakpoint
ALTER TABLE `homes` ADD `snow_months` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `lamps` ADD `rated_by` text DEFAULT 'ppf' NOT NULL;--> statement-breakpoint
ALTER TABLE `lamps` ADD `lumens` real;--> statement-breakpoint
ALTER TABLE `lamps` ADD `tilt_deg` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `lamps` ADD `tilt_toward` text DEFAULT 'a' NOT NULL;--> statement-breakpoint
ALTER TABLE `lamps` ADD `burnt_hours` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `lamps` ADD `life_hours` real;--> statement-breakpoint
ALTER TABLE `lamps` ADD `photometry_id` text REFERENCES photometries(id);--> statement-breakpoint
ALTER TABLE `plants` ADD `foliage` text DEFAULT 'medium' NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `evening_lux` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `evening_from_minute` integer DEFAULT 1080 NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `evening_to_minute` integer DEFAULT 1320 NOT NULL;--> statement-breakpoint
ALTER TABLE `windows` ADD `reveal_m` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `windows` ADD `overhang_m` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `windows` ADD `overhang_above_m` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `windows` ADD `second_curtain_id` text DEFAULT 'none' NOT NULL;--> statement-breakpoint
ALTER TABLE `windows` ADD `second_curtain_months` text DEFAULT '[1,2,3,4,5,6,7,8,9,10,11,12]' NOT NULL;--> statement-breakpoint
ALTER TABLE `windows` ADD `second_curtain_from_minute` integer DEFAULT 600 NOT NULL;--> statement-breakpoint
ALTER TABLE `windows` ADD `second_curtain_to_minute` integer DEFAULT 1080 NOT NULL;