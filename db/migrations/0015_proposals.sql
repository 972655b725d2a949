CREATE TABLE IF NOT EXISTS `proposals` (
	`id` char(36) NOT NULL,
	`plan_id` char(36) NOT NULL,
	`base` json NOT NULL,
	`document` json NOT NULL,
	`note` varchar(500) NOT NULL,
	`person_id` char(36),
	`who` varchar(60) NOT NULL,
	`at` datetime(3) NOT NULL,
	`state` enum('open','accepted','declined','withdrawn') NOT NULL DEFAULT 'open',
	`decided_by` varchar(60),
	`decided_at` datetime(3),
	CONSTRAINT `proposals_id` PRIMARY KEY(`id`),
	INDEX `proposals_plan` (`plan_id`,`state`,`at`),
	CONSTRAINT `proposals_plan_id_plans_id_fk` FOREIGN KEY (`plan_id`) REFERENCES `plans`(`id`) ON DELETE cascade
);
