ALTER TABLE `log_entries`
	ADD COLUMN IF NOT EXISTS `stands` boolean DEFAULT true NOT NULL,
	ADD COLUMN IF NOT EXISTS `result` varchar(10) GENERATED ALWAYS AS (JSON_VALUE(`entry`, '$.result')) STORED,
	ADD COLUMN IF NOT EXISTS `symptom` varchar(8) GENERATED ALWAYS AS (JSON_VALUE(`entry`, '$.symptom')) STORED,
	ADD COLUMN IF NOT EXISTS `amends` char(36) GENERATED ALWAYS AS (JSON_VALUE(`entry`, '$.amends')) STORED,
	ADD COLUMN IF NOT EXISTS `counts` boolean GENERATED ALWAYS AS (`stands` = 1 AND `kind` <> 'put-off' AND COALESCE(`result`, '') <> 'could-not') STORED,
	ADD INDEX IF NOT EXISTS `log_entries_done` (`plan_id`,`counts`,`stage_id`,`task`,`measured_at`),
	ADD INDEX IF NOT EXISTS `log_entries_kind` (`plan_id`,`stands`,`kind`,`stage_id`,`measured_at`),
	ADD INDEX IF NOT EXISTS `log_entries_newest` (`plan_id`,`stands`,`measured_at`);
--> statement-breakpoint
UPDATE `log_entries` `a` JOIN `log_entries` `b` ON `b`.`amends` = `a`.`id` AND `b`.`plan_id` = `a`.`plan_id` SET `a`.`stands` = false;
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `readings` (
	`entry_id` char(36) NOT NULL,
	`of` varchar(20) NOT NULL,
	`plan_id` char(36) NOT NULL,
	`stage_id` varchar(64) NOT NULL,
	`measured_at` char(16) NOT NULL,
	`stands` boolean NOT NULL DEFAULT true,
	`value` double NOT NULL,
	`expected` double,
	`low` double,
	`high` double,
	CONSTRAINT `readings_entry_id_of_pk` PRIMARY KEY(`entry_id`,`of`)
);
--> statement-breakpoint
ALTER TABLE `readings` ADD CONSTRAINT `readings_entry_id_log_entries_id_fk` FOREIGN KEY IF NOT EXISTS (`entry_id`) REFERENCES `log_entries`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `readings_series` ON `readings` (`plan_id`,`stands`,`stage_id`,`of`,`measured_at`);
--> statement-breakpoint
INSERT IGNORE INTO `readings`
SELECT `e`.`id`, `r`.`of`, `e`.`plan_id`, `e`.`stage_id`, `e`.`measured_at`, `e`.`stands`, `r`.`value`,
	JSON_VALUE(`e`.`expected`, CONCAT('$[', `r`.`n` - 1, '].value')),
	JSON_VALUE(`e`.`expected`, CONCAT('$[', `r`.`n` - 1, '].low')),
	JSON_VALUE(`e`.`expected`, CONCAT('$[', `r`.`n` - 1, '].high'))
FROM `log_entries` `e`,
	JSON_TABLE(`e`.`entry`, '$.readings[*]' COLUMNS (`n` FOR ORDINALITY, `of` varchar(20) PATH '$.of', `value` double PATH '$.value')) `r`;
--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `drain_entries_stage` ON `drain_entries` (`plan_id`,`stage_id`,`struck_at`,`drained_at`);
