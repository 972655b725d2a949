CREATE TABLE IF NOT EXISTS `revisions` (
	`id` char(36) NOT NULL,
	`plan_id` char(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`document` json NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `revisions_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `revisions` ADD CONSTRAINT `revisions_plan_id_plans_id_fk` FOREIGN KEY IF NOT EXISTS (`plan_id`) REFERENCES `plans`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `revisions_plan_at` ON `revisions` (`plan_id`,`at`);