CREATE TABLE IF NOT EXISTS `guest_links` (
	`id` char(36) NOT NULL,
	`hash` char(64) NOT NULL,
	`site_id` char(36) NOT NULL,
	`name` varchar(60) NOT NULL,
	`expires_at` datetime(3) NOT NULL,
	`opened_at` datetime(3),
	`at` datetime(3) NOT NULL,
	CONSTRAINT `guest_links_id` PRIMARY KEY(`id`),
	CONSTRAINT `guest_links_hash_unique` UNIQUE(`hash`),
	INDEX `guest_links_site` (`site_id`),
	CONSTRAINT `guest_links_site_id_sites_id_fk` FOREIGN KEY (`site_id`) REFERENCES `sites`(`id`) ON DELETE cascade
);
