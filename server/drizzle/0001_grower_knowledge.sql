CREATE TABLE `corrections` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`taxon_id` text,
	`plant_id` text,
	`figure` text NOT NULL,
	`value` real NOT NULL,
	`reason` text NOT NULL,
	`on` text NOT NULL,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`plant_id`) REFERENCES `plants`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `corrections_home` ON `corrections` (`home_id`);--> statement-breakpoint
CREATE INDEX `corrections_plant` ON `corrections` (`plant_id`);--> statement-breakpoint
CREATE TABLE `own_taxa` (
	`id` text PRIMARY KEY NOT NULL,
	`home_id` text NOT NULL,
	`name` text NOT NULL,
	`common` text NOT NULL,
	`synonyms` text NOT NULL,
	`based_on` text NOT NULL,
	`key` text NOT NULL,
	FOREIGN KEY (`home_id`) REFERENCES `homes`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `own_taxa_home` ON `own_taxa` (`home_id`);--> statement-breakpoint
ALTER TABLE `homes` ADD `rest_school` text;--> statement-breakpoint
ALTER TABLE `homes` ADD `light_aim` text DEFAULT 'whole' NOT NULL;--> statement-breakpoint
ALTER TABLE `plants` ADD `parents` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `plants` ADD `traits` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `plants` ADD `state_seen_on` text;--> statement-breakpoint
ALTER TABLE `plants` ADD `rest_school` text;