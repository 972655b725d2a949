ALTER TABLE `plans`
	ADD COLUMN IF NOT EXISTS `name` varchar(80) GENERATED ALWAYS AS (LEFT(JSON_VALUE(`document`, '$.name'), 80)) STORED,
	ADD COLUMN IF NOT EXISTS `shop` varchar(80) GENERATED ALWAYS AS (LEFT(JSON_VALUE(`document`, '$.survey.shop'), 80)) STORED,
	ADD COLUMN IF NOT EXISTS `stages` int GENERATED ALWAYS AS (COALESCE(JSON_LENGTH(JSON_EXTRACT(`document`, '$.stages')), 0) + COALESCE(JSON_LENGTH(JSON_EXTRACT(`document`, '$.branches[*].stages[*]')), 0)) STORED,
	ADD INDEX IF NOT EXISTS `plans_list` (`is_demo`,`updated_at`,`name`,`shop`,`stages`);
