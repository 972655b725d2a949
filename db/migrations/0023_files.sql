CREATE TABLE IF NOT EXISTS `files` (
	`id` char(36) NOT NULL,
	`site_id` char(36) NOT NULL,
	`type` enum('picture','pdf') NOT NULL,
	`bytes` mediumblob NOT NULL,
	`digest` char(64) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `files_id` PRIMARY KEY(`id`),
	INDEX `files_site` (`site_id`),
	CONSTRAINT `files_site_id_sites_id_fk` FOREIGN KEY (`site_id`) REFERENCES `sites`(`id`) ON DELETE cascade
);
