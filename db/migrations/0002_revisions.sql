CREATE TABLE `revisions` (
	`id` char(36) NOT NULL,
	`plan_id` char(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`document` json NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `revisions_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `revisions` ADD CONSTRAINT `revisions_plan_id_plans_id_fk` FOREIGN KEY (`plan_id`) REFERENCES `plans`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `revisions_plan_at` ON `revisions` (`plan_id`,`at`);