CREATE TABLE IF NOT EXISTS `known_names` (
	`site_id` char(36) NOT NULL,
	`name` varchar(60) NOT NULL,
	`person_id` char(36) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `known_names_site_id_name_pk` PRIMARY KEY(`site_id`,`name`),
	CONSTRAINT `known_names_site_id_sites_id_fk` FOREIGN KEY (`site_id`) REFERENCES `sites`(`id`) ON DELETE cascade,
	CONSTRAINT `known_names_person_id_people_id_fk` FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON DELETE cascade
);
