CREATE TABLE IF NOT EXISTS `weather_years` (
	`id` char(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`origin` enum('epw','csv','synthetic') NOT NULL,
	`altitude_m` double,
	`notes` json NOT NULL,
	`hours` json NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `weather_years_id` PRIMARY KEY(`id`)
);
