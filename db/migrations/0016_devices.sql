CREATE TABLE IF NOT EXISTS `pins` (
	`person_id` char(36) NOT NULL,
	`hash` varchar(255) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `pins_person_id` PRIMARY KEY(`person_id`),
	CONSTRAINT `pins_person_id_people_id_fk` FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `devices` (
	`id` char(36) NOT NULL,
	`hash` char(64) NOT NULL,
	`site_id` char(36) NOT NULL,
	`name` varchar(60) NOT NULL,
	`person_id` char(36),
	`seen_at` datetime(3),
	`at` datetime(3) NOT NULL,
	CONSTRAINT `devices_id` PRIMARY KEY(`id`),
	CONSTRAINT `devices_hash_unique` UNIQUE(`hash`),
	INDEX `devices_site` (`site_id`),
	CONSTRAINT `devices_site_id_sites_id_fk` FOREIGN KEY (`site_id`) REFERENCES `sites`(`id`) ON DELETE cascade,
	CONSTRAINT `devices_person_id_people_id_fk` FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON DELETE set null
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `device_people` (
	`device_id` char(36) NOT NULL,
	`person_id` char(36) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `device_people_device_id_person_id_pk` PRIMARY KEY(`device_id`,`person_id`),
	CONSTRAINT `device_people_device_id_devices_id_fk` FOREIGN KEY (`device_id`) REFERENCES `devices`(`id`) ON DELETE cascade,
	CONSTRAINT `device_people_person_id_people_id_fk` FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON DELETE cascade
);
