CREATE TABLE IF NOT EXISTS `charges` (
	`id` char(36) NOT NULL,
	`plan_id` char(36) NOT NULL,
	`charge` json NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `charges_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `charges` ADD CONSTRAINT `charges_plan_id_plans_id_fk` FOREIGN KEY IF NOT EXISTS (`plan_id`) REFERENCES `plans`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `charges_plan` ON `charges` (`plan_id`);