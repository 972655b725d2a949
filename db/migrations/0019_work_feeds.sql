ALTER TABLE `feeds`
	MODIFY COLUMN `plan_id` char(36),
	ADD COLUMN IF NOT EXISTS `person_id` varchar(36);
