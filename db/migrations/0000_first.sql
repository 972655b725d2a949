CREATE TABLE IF NOT EXISTS `drain_entries` (
	`id` char(36) NOT NULL,
	`plan_id` char(36) NOT NULL,
	`stage_id` varchar(64) NOT NULL,
	`stage_name` varchar(60) NOT NULL,
	`drained_at` char(16) NOT NULL,
	`since_at` char(16) NOT NULL,
	`amount_m3` double NOT NULL,
	`appearance` enum('clear','milky','oily','rusty') NOT NULL,
	`who` varchar(60) NOT NULL,
	`note` varchar(500) NOT NULL DEFAULT '',
	`loaded_hours` double,
	`intake_temperature_c` double NOT NULL,
	`intake_relative_humidity` double NOT NULL,
	`counted_hours` double NOT NULL,
	`expected_kg` double NOT NULL,
	`low_kg` double NOT NULL,
	`high_kg` double NOT NULL,
	`struck_at` datetime(3),
	`logged_at` datetime(3) NOT NULL,
	CONSTRAINT `drain_entries_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `plan_writes` (
	`id` char(36) NOT NULL,
	`plan_id` char(36) NOT NULL,
	`row_version` int NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `plan_writes_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `plans` (
	`id` char(36) NOT NULL,
	`is_demo` boolean NOT NULL DEFAULT false,
	`row_version` int NOT NULL DEFAULT 1,
	`document` json NOT NULL,
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `plans_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `drain_entries` ADD CONSTRAINT `drain_entries_plan_id_plans_id_fk` FOREIGN KEY IF NOT EXISTS (`plan_id`) REFERENCES `plans`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `plan_writes` ADD CONSTRAINT `plan_writes_plan_id_plans_id_fk` FOREIGN KEY IF NOT EXISTS (`plan_id`) REFERENCES `plans`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `drain_entries_plan_at` ON `drain_entries` (`plan_id`,`drained_at`);