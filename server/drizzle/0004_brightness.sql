UPDATE `facts` SET `body` = json_set(`body`, '$.revealReflectance', 0.7) WHERE `list` = 'windows' AND json_extract(`body`, '$.revealReflectance') IS NULL;
--> statement-breakpoint
UPDATE `facts` SET `body` = json_set(`body`, '$.reflectance', 0.4) WHERE `list` IN ('stands', 'blocks') AND json_extract(`body`, '$.reflectance') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `before` = json_set(`before`, '$.revealReflectance', 0.7) WHERE `list` = 'windows' AND json_extract(`before`, '$.id') IS NOT NULL AND json_extract(`before`, '$.revealReflectance') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `before` = json_set(`before`, '$.reflectance', 0.4) WHERE `list` IN ('stands', 'blocks') AND json_extract(`before`, '$.id') IS NOT NULL AND json_extract(`before`, '$.reflectance') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `after` = json_set(`after`, '$.revealReflectance', 0.7) WHERE `list` = 'windows' AND json_extract(`after`, '$.id') IS NOT NULL AND json_extract(`after`, '$.revealReflectance') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `after` = json_set(`after`, '$.reflectance', 0.4) WHERE `list` IN ('stands', 'blocks') AND json_extract(`after`, '$.id') IS NOT NULL AND json_extract(`after`, '$.reflectance') IS NULL;
