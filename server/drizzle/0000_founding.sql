CREATE TABLE `air` (
	`id` text PRIMARY KEY NOT NULL,
	`room_id` text NOT NULL,
	`month` integer NOT NULL,
	`day_c` real NOT NULL,
	`night_c` real NOT NULL,
	`day_rh` real NOT NULL,
	`night_rh` real NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `air_room_month` ON `air` (`room_id`,`month`);--> statement-breakpoint
CREATE TABLE `circuits` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`name` text NOT NULL,
	`on_minute` integer NOT NULL,
	`off_minute` integer NOT NULL,
	`months` text NOT NULL,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `circuits_home` ON `circuits` (`home_id`);--> statement-breakpoint
CREATE TABLE `homes` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`latitude` real NOT NULL,
	`longitude` real NOT NULL,
	`elevation_m` real NOT NULL,
	`time_zone` text NOT NULL,
	`climate_id` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `journal` (
	`sequence` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`home_id` text NOT NULL,
	`at` integer NOT NULL,
	`kind` text NOT NULL,
	`summary` text NOT NULL,
	`plant_id` text,
	`undoes` text,
	`changes` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `journal_id_unique` ON `journal` (`id`);--> statement-breakpoint
CREATE UNIQUE INDEX `journal_undoes_unique` ON `journal` (`undoes`);--> statement-breakpoint
CREATE INDEX `journal_home` ON `journal` (`home_id`,`sequence`);--> statement-breakpoint
CREATE TABLE `journal_plants` (
	`sequence` integer NOT NULL,
	`plant_id` text NOT NULL,
	FOREIGN KEY (`sequence`) REFERENCES `journal`(`sequence`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `journal_plants_plant` ON `journal_plants` (`plant_id`,`sequence`);--> statement-breakpoint
CREATE TABLE `lamps` (
	`id` text PRIMARY KEY NOT NULL,
	`circuit_id` text NOT NULL,
	`tier_id` text NOT NULL,
	`name` text NOT NULL,
	`form` text NOT NULL,
	`ppf` real NOT NULL,
	`power_w` real NOT NULL,
	`spectrum` text NOT NULL,
	`beam_deg` real NOT NULL,
	`length_m` real NOT NULL,
	`breadth_m` real NOT NULL,
	`along_m` real NOT NULL,
	`across_m` real NOT NULL,
	`above_m` real NOT NULL,
	`dimming` real NOT NULL,
	FOREIGN KEY (`circuit_id`) REFERENCES `circuits`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`tier_id`) REFERENCES `tiers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lamps_tier` ON `lamps` (`tier_id`);--> statement-breakpoint
CREATE INDEX `lamps_circuit` ON `lamps` (`circuit_id`);--> statement-breakpoint
CREATE TABLE `plants` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`taxon_id` text NOT NULL,
	`name` text NOT NULL,
	`stage` text NOT NULL,
	`growth_state` text NOT NULL,
	`pot_cm` real,
	`height_cm` real,
	`spot_id` text,
	`arrived_on` text,
	`note` text NOT NULL,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`spot_id`) REFERENCES `spots`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `plants_home` ON `plants` (`home_id`);--> statement-breakpoint
CREATE INDEX `plants_spot` ON `plants` (`spot_id`);--> statement-breakpoint
CREATE TABLE `rooms` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`name` text NOT NULL,
	`width_m` real NOT NULL,
	`depth_m` real NOT NULL,
	`height_m` real NOT NULL,
	`wall_a_bearing` real NOT NULL,
	`floor_reflectance` real NOT NULL,
	`wall_reflectance` real NOT NULL,
	`ceiling_reflectance` real NOT NULL,
	`air_movement` text NOT NULL,
	`inside_room_id` text,
	`inside_xm` real NOT NULL,
	`inside_ym` real NOT NULL,
	`inside_zm` real NOT NULL,
	`shell_transmittance` real NOT NULL,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`inside_room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `rooms_home` ON `rooms` (`home_id`);--> statement-breakpoint
CREATE TABLE `spots` (
	`id` text PRIMARY KEY NOT NULL,
	`tier_id` text NOT NULL,
	`name` text NOT NULL,
	`along_m` real NOT NULL,
	`across_m` real NOT NULL,
	`size_m` real NOT NULL,
	`free_height_m` real NOT NULL,
	`load_kg` real NOT NULL,
	`reach` text NOT NULL,
	FOREIGN KEY (`tier_id`) REFERENCES `tiers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `spots_tier` ON `spots` (`tier_id`);--> statement-breakpoint
CREATE TABLE `stands` (
	`id` text PRIMARY KEY NOT NULL,
	`room_id` text NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`x_m` real NOT NULL,
	`y_m` real NOT NULL,
	`width_m` real NOT NULL,
	`depth_m` real NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `stands_room` ON `stands` (`room_id`);--> statement-breakpoint
CREATE TABLE `tiers` (
	`id` text PRIMARY KEY NOT NULL,
	`stand_id` text NOT NULL,
	`height_m` real NOT NULL,
	`board` text NOT NULL,
	FOREIGN KEY (`stand_id`) REFERENCES `stands`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `tiers_stand` ON `tiers` (`stand_id`);--> statement-breakpoint
CREATE TABLE `windows` (
	`id` text PRIMARY KEY NOT NULL,
	`room_id` text NOT NULL,
	`name` text NOT NULL,
	`side` text NOT NULL,
	`offset_m` real NOT NULL,
	`inset_m` real NOT NULL,
	`sill_m` real NOT NULL,
	`width_m` real NOT NULL,
	`height_m` real NOT NULL,
	`slope_deg` real NOT NULL,
	`glazing_id` text NOT NULL,
	`frame_share` real NOT NULL,
	`dirt_share` real NOT NULL,
	`curtain_id` text NOT NULL,
	`curtain_months` text NOT NULL,
	`curtain_from_minute` integer NOT NULL,
	`curtain_to_minute` integer NOT NULL,
	`outside_kind` text NOT NULL,
	`outside_deg` real NOT NULL,
	`outside_reflectance` real NOT NULL,
	`ground_reflectance` real NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `windows_room` ON `windows` (`room_id`);