CREATE TABLE IF NOT EXISTS `line_states` (
	`plan_id` char(36) NOT NULL,
	`row_version` int NOT NULL DEFAULT 0,
	`day` char(10) NOT NULL DEFAULT '',
	`claim` char(36) NOT NULL DEFAULT '',
	`state` json,
	`next_due` char(16),
	`overdue` int NOT NULL DEFAULT 0,
	`complaints` int NOT NULL DEFAULT 0,
	`verdict` enum('fails','open','meets'),
	`water_share` double,
	CONSTRAINT `line_states_plan_id` PRIMARY KEY(`plan_id`),
	INDEX `line_states_due` (`next_due`,`plan_id`),
	CONSTRAINT `line_states_plan_id_plans_id_fk` FOREIGN KEY (`plan_id`) REFERENCES `plans`(`id`) ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `site_orders` (
	`person_id` varchar(36) NOT NULL,
	`site_id` char(36) NOT NULL,
	`place` int NOT NULL,
	CONSTRAINT `site_orders_person_id_site_id_pk` PRIMARY KEY(`person_id`,`site_id`),
	CONSTRAINT `site_orders_site_id_sites_id_fk` FOREIGN KEY (`site_id`) REFERENCES `sites`(`id`) ON DELETE cascade
);
