UPDATE `facts` SET `body` = json_set(`body`, '$.programme', json('[]'), '$.freedom', 'hours', '$.limitW', null, '$.supplyId', null) WHERE `list` = 'circuits' AND json_extract(`body`, '$.programme') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `before` = json_set(`before`, '$.programme', json('[]'), '$.freedom', 'hours', '$.limitW', null, '$.supplyId', null) WHERE `list` = 'circuits' AND json_extract(`before`, '$.id') IS NOT NULL AND json_extract(`before`, '$.programme') IS NULL;
--> statement-breakpoint
UPDATE `journal_changes` SET `after` = json_set(`after`, '$.programme', json('[]'), '$.freedom', 'hours', '$.limitW', null, '$.supplyId', null) WHERE `list` = 'circuits' AND json_extract(`after`, '$.id') IS NOT NULL AND json_extract(`after`, '$.programme') IS NULL;
