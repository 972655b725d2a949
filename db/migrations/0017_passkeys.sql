CREATE TABLE IF NOT EXISTS `passkeys` (
	`hash` char(64) NOT NULL,
	`credential_id` varchar(1400) NOT NULL,
	`person_id` char(36) NOT NULL,
	`public_key` text NOT NULL,
	`counter` bigint NOT NULL,
	`transports` json NOT NULL,
	`host` varchar(253) NOT NULL,
	`user_agent` varchar(1000),
	`used_at` datetime(3),
	`at` datetime(3) NOT NULL,
	CONSTRAINT `passkeys_hash` PRIMARY KEY(`hash`),
	INDEX `passkeys_person` (`person_id`),
	CONSTRAINT `passkeys_person_id_people_id_fk` FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON DELETE cascade
);
