UPDATE `facts` SET `body` = json_set(`body`, '$.goal', 'grow', '$.stageSeenOn', null, '$.cameFromSpotId', null, '$.movedOn', null) WHERE `list` = 'plants' AND json_extract(`body`, '$.goal') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `before` = json_set(`before`, '$.goal', 'grow', '$.stageSeenOn', null, '$.cameFromSpotId', null, '$.movedOn', null) WHERE `list` = 'plants' AND json_extract(`before`, '$.id') IS NOT NULL AND json_extract(`before`, '$.goal') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `after` = json_set(`after`, '$.goal', 'grow', '$.stageSeenOn', null, '$.cameFromSpotId', null, '$.movedOn', null) WHERE `list` = 'plants' AND json_extract(`after`, '$.id') IS NOT NULL AND json_extract(`after`, '$.goal') IS NULL;
