ALTER TABLE `wash` RENAME COLUMN `hands_id` TO `worker_id`;--> statement-breakpoint
ALTER TABLE `busy_time` RENAME COLUMN `hands_id` TO `worker_id`;--> statement-breakpoint
UPDATE `setting` SET `key` = 'workers' WHERE `key` = 'hands';--> statement-breakpoint
UPDATE `setting` SET `value` = json_remove(json_set(`value`, '$.inHandFraction', json_extract(`value`, '$.inHandShare')), '$.inHandShare') WHERE `key` = 'limits' AND json_extract(`value`, '$.inHandShare') IS NOT NULL;--> statement-breakpoint
UPDATE `setting` SET `value` = json_remove(json_set(`value`, '$.blowerLeavesFraction', json_extract(`value`, '$.blowerLeavesShare')), '$.blowerLeavesShare') WHERE `key` = 'limits' AND json_extract(`value`, '$.blowerLeavesShare') IS NOT NULL;--> statement-breakpoint
UPDATE `setting` SET `value` = json_remove(json_set(`value`, '$.tolerableBlockedFraction', json_extract(`value`, '$.tolerableBlockedShare')), '$.tolerableBlockedShare') WHERE `key` = 'limits' AND json_extract(`value`, '$.tolerableBlockedShare') IS NOT NULL;--> statement-breakpoint
UPDATE `product` SET `dwell` = json_object('minMinutes', json_extract(`dwell`, '$.from'), 'maxMinutes', json_extract(`dwell`, '$.to')) WHERE json_extract(`dwell`, '$.from') IS NOT NULL;--> statement-breakpoint
UPDATE `wash` SET `predicted` = json_set(`predicted`, '$.limiting.comfort', CASE json_extract(`predicted`, '$.limiting.level') WHEN 'clear' THEN 1000000 ELSE -1000000 END) WHERE json_type(`predicted`, '$.limiting.comfort') = 'null';
