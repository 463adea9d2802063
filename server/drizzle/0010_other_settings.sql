UPDATE `facts` SET `body` = json_set(`body`, '$.curtains', 'may-change', '$.humidifiers', 'may-change') WHERE `list` = 'planSettings' AND json_extract(`body`, '$.curtains') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `before` = json_set(`before`, '$.curtains', 'may-change', '$.humidifiers', 'may-change') WHERE `list` = 'planSettings' AND json_extract(`before`, '$.id') IS NOT NULL AND json_extract(`before`, '$.curtains') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `after` = json_set(`after`, '$.curtains', 'may-change', '$.humidifiers', 'may-change') WHERE `list` = 'planSettings' AND json_extract(`after`, '$.id') IS NOT NULL AND json_extract(`after`, '$.curtains') IS NULL;
--> statement-breakpoint
UPDATE `facts` SET `body` = json_set(`body`, '$.windowId', null, '$.curtains', json('[]'), '$.fromCurtains', null, '$.airThingId', null, '$.setRh', null) WHERE `list` = 'planSteps' AND json_type(`body`, '$.windowId') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `before` = json_set(`before`, '$.windowId', null, '$.curtains', json('[]'), '$.fromCurtains', null, '$.airThingId', null, '$.setRh', null) WHERE `list` = 'planSteps' AND json_extract(`before`, '$.id') IS NOT NULL AND json_type(`before`, '$.windowId') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `after` = json_set(`after`, '$.windowId', null, '$.curtains', json('[]'), '$.fromCurtains', null, '$.airThingId', null, '$.setRh', null) WHERE `list` = 'planSteps' AND json_extract(`after`, '$.id') IS NOT NULL AND json_type(`after`, '$.windowId') IS NULL;
--> statement-breakpoint
UPDATE `facts` SET `body` = json_set(`body`, '$.fadeMinutes', 0) WHERE `list` = 'circuits' AND json_extract(`body`, '$.fadeMinutes') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `before` = json_set(`before`, '$.fadeMinutes', 0) WHERE `list` = 'circuits' AND json_extract(`before`, '$.id') IS NOT NULL AND json_extract(`before`, '$.fadeMinutes') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `after` = json_set(`after`, '$.fadeMinutes', 0) WHERE `list` = 'circuits' AND json_extract(`after`, '$.id') IS NOT NULL AND json_extract(`after`, '$.fadeMinutes') IS NULL;
