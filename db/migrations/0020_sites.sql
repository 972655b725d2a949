ALTER TABLE `sites` ADD COLUMN IF NOT EXISTS `climate` json;
--> statement-breakpoint
ALTER TABLE `plans` ADD COLUMN IF NOT EXISTS `archived_at` datetime(3);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `site_photos` (
	`id` char(36) NOT NULL,
	`site_id` char(36) NOT NULL,
	`jpeg` mediumblob NOT NULL,
	`digest` char(64) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `site_photos_id` PRIMARY KEY(`id`),
	INDEX `site_photos_site` (`site_id`,`at`),
	CONSTRAINT `site_photos_site_id_sites_id_fk` FOREIGN KEY (`site_id`) REFERENCES `sites`(`id`) ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `templates` (
	`id` char(36) NOT NULL,
	`site_id` char(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`document` json NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `templates_id` PRIMARY KEY(`id`),
	INDEX `templates_site` (`site_id`,`name`),
	CONSTRAINT `templates_site_id_sites_id_fk` FOREIGN KEY (`site_id`) REFERENCES `sites`(`id`) ON DELETE cascade
);
