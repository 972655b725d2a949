CREATE TABLE IF NOT EXISTS `log_marks` (
	`plan_id` char(36) NOT NULL,
	`stage_id` varchar(64) NOT NULL,
	`what` varchar(30) NOT NULL,
	`at` char(16) NOT NULL,
	CONSTRAINT `log_marks_plan_id_stage_id_what_pk` PRIMARY KEY(`plan_id`,`stage_id`,`what`)
);
--> statement-breakpoint
ALTER TABLE `log_marks` ADD CONSTRAINT `log_marks_plan_id_plans_id_fk` FOREIGN KEY IF NOT EXISTS (`plan_id`) REFERENCES `plans`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
INSERT IGNORE INTO `log_marks`
SELECT `plan_id`, `stage_id`, CONCAT('task ', `task`), MAX(`measured_at`) FROM `log_entries` WHERE `counts` = 1 AND `task` IS NOT NULL GROUP BY `plan_id`, `stage_id`, `task`
UNION ALL
SELECT `plan_id`, `stage_id`, CONCAT('reading ', `of`), MAX(`measured_at`) FROM `readings` WHERE `stands` = 1 GROUP BY `plan_id`, `stage_id`, `of`
UNION ALL
SELECT `plan_id`, `stage_id`, 'drain', MAX(`drained_at`) FROM `drain_entries` WHERE `struck_at` IS NULL GROUP BY `plan_id`, `stage_id`
UNION ALL
SELECT `plan_id`, `stage_id`, 'change', MAX(`measured_at`) FROM `log_entries` WHERE `counts` = 1 AND `kind` = 'change' AND `task` IS NULL GROUP BY `plan_id`, `stage_id`
UNION ALL
SELECT `plan_id`, `stage_id`, 'opened', MAX(`measured_at`) FROM `log_entries` WHERE `stands` = 1 AND `kind` IN ('change', 'repair', 'regeneration') GROUP BY `plan_id`, `stage_id`
UNION ALL
SELECT `plan_id`, `stage_id`, 'wet', MAX(`measured_at`) FROM `log_entries` WHERE `stands` = 1 AND `kind` = 'complaint' AND `symptom` IN ('D01', 'D02', 'D03', 'D04', 'D05', 'D31') GROUP BY `plan_id`, `stage_id`;
