UPDATE `facts` SET `body` = json_set(`body`, '$.traffic', 'quiet', '$.wall', 'any') WHERE `list` = 'stands' AND json_extract(`body`, '$.traffic') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `before` = json_set(`before`, '$.traffic', 'quiet', '$.wall', 'any') WHERE `list` = 'stands' AND json_extract(`before`, '$.id') IS NOT NULL AND json_extract(`before`, '$.traffic') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `after` = json_set(`after`, '$.traffic', 'quiet', '$.wall', 'any') WHERE `list` = 'stands' AND json_extract(`after`, '$.id') IS NOT NULL AND json_extract(`after`, '$.traffic') IS NULL;
--> statement-breakpoint
UPDATE `facts` SET `body` = json_set(`body`, '$.hardening', 'usual') WHERE `list` = 'planSettings' AND json_extract(`body`, '$.hardening') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `before` = json_set(`before`, '$.hardening', 'usual') WHERE `list` = 'planSettings' AND json_extract(`before`, '$.id') IS NOT NULL AND json_extract(`before`, '$.hardening') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `after` = json_set(`after`, '$.hardening', 'usual') WHERE `list` = 'planSettings' AND json_extract(`after`, '$.id') IS NOT NULL AND json_extract(`after`, '$.hardening') IS NULL;
--> statement-breakpoint
UPDATE `facts` SET `body` = json_set(`body`, '$.lampId', null, '$.aboveM', null, '$.fromAboveM', null) WHERE `list` = 'planSteps' AND json_type(`body`, '$.lampId') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `before` = json_set(`before`, '$.lampId', null, '$.aboveM', null, '$.fromAboveM', null) WHERE `list` = 'planSteps' AND json_extract(`before`, '$.id') IS NOT NULL AND json_type(`before`, '$.lampId') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `after` = json_set(`after`, '$.lampId', null, '$.aboveM', null, '$.fromAboveM', null) WHERE `list` = 'planSteps' AND json_extract(`after`, '$.id') IS NOT NULL AND json_type(`after`, '$.lampId') IS NULL;
