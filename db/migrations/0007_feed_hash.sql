ALTER TABLE `feeds` MODIFY COLUMN `token` char(64) NOT NULL;--> statement-breakpoint
UPDATE `feeds` SET `token` = SHA2(`token`, 256) WHERE CHAR_LENGTH(`token`) = 43;
