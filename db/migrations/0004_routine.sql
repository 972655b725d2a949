CREATE TABLE IF NOT EXISTS `feeds` (
	`token` char(43) NOT NULL,
	`plan_id` char(36) NOT NULL,
	`revoked_at` datetime(3),
	`at` datetime(3) NOT NULL,
	CONSTRAINT `feeds_token` PRIMARY KEY(`token`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `log_entries` (
	`id` char(36) NOT NULL,
	`plan_id` char(36) NOT NULL,
	`stage_id` varchar(64) NOT NULL,
	`stage_name` varchar(60) NOT NULL,
	`kind` varchar(20) NOT NULL,
	`task` varchar(8),
	`measured_at` char(16) NOT NULL,
	`who` varchar(60) NOT NULL,
	`entry` json NOT NULL,
	`expected` json NOT NULL,
	`entered_at` datetime(3) NOT NULL,
	CONSTRAINT `log_entries_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `photos` (
	`id` char(36) NOT NULL,
	`plan_id` char(36) NOT NULL,
	`jpeg` mediumblob NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `photos_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `feeds` ADD CONSTRAINT `feeds_plan_id_plans_id_fk` FOREIGN KEY IF NOT EXISTS (`plan_id`) REFERENCES `plans`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `log_entries` ADD CONSTRAINT `log_entries_plan_id_plans_id_fk` FOREIGN KEY IF NOT EXISTS (`plan_id`) REFERENCES `plans`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `photos` ADD CONSTRAINT `photos_plan_id_plans_id_fk` FOREIGN KEY IF NOT EXISTS (`plan_id`) REFERENCES `plans`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `log_entries_plan_at` ON `log_entries` (`plan_id`,`measured_at`);