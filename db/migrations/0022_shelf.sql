CREATE TABLE IF NOT EXISTS `shelf_items` (
	`id` char(36) NOT NULL,
	`site_id` char(36) NOT NULL,
	`item` json NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `shelf_items_id` PRIMARY KEY(`id`),
	INDEX `shelf_items_site` (`site_id`,`at`),
	CONSTRAINT `shelf_items_site_id_sites_id_fk` FOREIGN KEY (`site_id`) REFERENCES `sites`(`id`) ON DELETE cascade
);
