CREATE TABLE IF NOT EXISTS `sites` (
	`id` char(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`customer` varchar(120) NOT NULL DEFAULT '',
	`address` varchar(300) NOT NULL DEFAULT '',
	`contacts` varchar(500) NOT NULL DEFAULT '',
	`notes` varchar(2000) NOT NULL DEFAULT '',
	`at` datetime(3) NOT NULL,
	CONSTRAINT `sites_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `people` (
	`id` char(36) NOT NULL,
	`name` varchar(60) NOT NULL,
	`email` varchar(254) NOT NULL,
	`email_verified` boolean NOT NULL DEFAULT false,
	`image` varchar(255),
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `people_id` PRIMARY KEY(`id`),
	CONSTRAINT `people_email_unique` UNIQUE(`email`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `sign_ins` (
	`id` char(36) NOT NULL,
	`token` varchar(255) NOT NULL,
	`person_id` char(36) NOT NULL,
	`expires_at` datetime(3) NOT NULL,
	`ip_address` varchar(64),
	`user_agent` varchar(1000),
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `sign_ins_id` PRIMARY KEY(`id`),
	CONSTRAINT `sign_ins_token_unique` UNIQUE(`token`),
	KEY `sign_ins_person` (`person_id`),
	CONSTRAINT `sign_ins_person_id_people_id_fk` FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `credentials` (
	`id` char(36) NOT NULL,
	`account_id` varchar(255) NOT NULL,
	`provider_id` varchar(60) NOT NULL,
	`person_id` char(36) NOT NULL,
	`access_token` text,
	`refresh_token` text,
	`id_token` text,
	`access_token_expires_at` datetime(3),
	`refresh_token_expires_at` datetime(3),
	`scope` varchar(255),
	`password` varchar(255),
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `credentials_id` PRIMARY KEY(`id`),
	KEY `credentials_person` (`person_id`),
	CONSTRAINT `credentials_person_id_people_id_fk` FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `verifications` (
	`id` char(36) NOT NULL,
	`identifier` varchar(255) NOT NULL,
	`value` text NOT NULL,
	`expires_at` datetime(3) NOT NULL,
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `verifications_id` PRIMARY KEY(`id`),
	KEY `verifications_identifier` (`identifier`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `members` (
	`site_id` char(36) NOT NULL,
	`person_id` char(36) NOT NULL,
	`role` enum('owner','planner','technician','viewer') NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `members_site_id_person_id_pk` PRIMARY KEY(`site_id`,`person_id`),
	KEY `members_person` (`person_id`),
	CONSTRAINT `members_site_id_sites_id_fk` FOREIGN KEY (`site_id`) REFERENCES `sites`(`id`) ON DELETE cascade,
	CONSTRAINT `members_person_id_people_id_fk` FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `invitations` (
	`hash` char(64) NOT NULL,
	`site_id` char(36) NOT NULL,
	`role` enum('owner','planner','technician','viewer') NOT NULL,
	`person_id` char(36),
	`expires_at` datetime(3) NOT NULL,
	`used_at` datetime(3),
	`at` datetime(3) NOT NULL,
	CONSTRAINT `invitations_hash` PRIMARY KEY(`hash`),
	KEY `invitations_site` (`site_id`),
	CONSTRAINT `invitations_site_id_sites_id_fk` FOREIGN KEY (`site_id`) REFERENCES `sites`(`id`) ON DELETE cascade,
	CONSTRAINT `invitations_person_id_people_id_fk` FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `audit` (
	`id` char(36) NOT NULL,
	`site_id` char(36) NOT NULL,
	`at` datetime(3) NOT NULL,
	`person_id` char(36) NOT NULL,
	`who` varchar(60) NOT NULL,
	`plan_id` char(36),
	`about` varchar(160) NOT NULL,
	`says` json NOT NULL,
	CONSTRAINT `audit_id` PRIMARY KEY(`id`),
	KEY `audit_site_at` (`site_id`, `at`, `id`),
	CONSTRAINT `audit_site_id_sites_id_fk` FOREIGN KEY (`site_id`) REFERENCES `sites`(`id`) ON DELETE cascade
);
--> statement-breakpoint
INSERT IGNORE INTO `sites` (`id`, `name`, `at`) VALUES ('5c7e1b0a-0000-4000-8000-000000000001', 'My site', UTC_TIMESTAMP(3));
--> statement-breakpoint
ALTER TABLE `plans`
	ADD COLUMN IF NOT EXISTS `site_id` char(36) DEFAULT '5c7e1b0a-0000-4000-8000-000000000001' NOT NULL,
	ADD COLUMN IF NOT EXISTS `removed_at` datetime(3),
	ADD INDEX IF NOT EXISTS `plans_site` (`site_id`,`removed_at`),
	ADD CONSTRAINT `plans_site_id_sites_id_fk` FOREIGN KEY IF NOT EXISTS (`site_id`) REFERENCES `sites`(`id`) ON DELETE no action;
--> statement-breakpoint
ALTER TABLE `plans`
	DROP INDEX IF EXISTS `plans_list`,
	ADD INDEX `plans_list` (`is_demo`,`updated_at`,`removed_at`,`site_id`,`name`,`shop`,`stages`);
--> statement-breakpoint
ALTER TABLE `weather_years`
	ADD COLUMN IF NOT EXISTS `site_id` char(36),
	ADD CONSTRAINT `weather_years_site_id_sites_id_fk` FOREIGN KEY IF NOT EXISTS (`site_id`) REFERENCES `sites`(`id`) ON DELETE cascade;
--> statement-breakpoint
UPDATE `weather_years` SET `site_id` = '5c7e1b0a-0000-4000-8000-000000000001' WHERE `site_id` IS NULL AND `origin` <> 'synthetic';
--> statement-breakpoint
ALTER TABLE `drain_entries`
	ADD COLUMN IF NOT EXISTS `person_id` char(36);
--> statement-breakpoint
ALTER TABLE `log_entries`
	ADD COLUMN IF NOT EXISTS `person_id` char(36);
