UPDATE `events` SET `kind` = json_extract(`body`, '$.kind'), `n` = coalesce(json_extract(`body`, '$.n'), 0);
--> statement-breakpoint
UPDATE `documents` SET `seq` = (SELECT coalesce(max(`seq`), 0) FROM `events`) + (SELECT count(*) FROM `documents` AS `before` WHERE `before`.`rowid` <= `documents`.`rowid`);
--> statement-breakpoint
INSERT INTO `marks` (`seq`, `mark`) SELECT `seq`, lower(hex(randomblob(8))) FROM `documents`;
--> statement-breakpoint
CREATE INDEX `events_endings` ON `events` (`seq`) WHERE `kind` IN ('finished', 'reopened');
--> statement-breakpoint
INSERT INTO `make_states` (`make`, `open`) SELECT `make`, coalesce((SELECT `kind` <> 'finished' FROM `events` AS `last` WHERE `last`.`make` = `all`.`make` AND `kind` IN ('finished', 'reopened') ORDER BY `n` DESC, `seq` DESC LIMIT 1), 1) FROM (SELECT DISTINCT `make` FROM `events`) AS `all`;
--> statement-breakpoint
CREATE TRIGGER `documents_marked` AFTER INSERT ON `documents` BEGIN
  INSERT INTO `marks` (`seq`, `mark`) VALUES (new.`seq`, lower(hex(randomblob(8))));
END;
--> statement-breakpoint
CREATE TRIGGER `documents_marked_again` AFTER UPDATE OF `seq` ON `documents` BEGIN
  INSERT INTO `marks` (`seq`, `mark`) VALUES (new.`seq`, lower(hex(randomblob(8))));
END;
--> statement-breakpoint
CREATE TRIGGER `events_begin` AFTER INSERT ON `events` WHEN NOT EXISTS (SELECT 1 FROM `make_states` WHERE `make` = new.`make`) BEGIN
  INSERT INTO `make_states` (`make`, `open`) VALUES (new.`make`, 1);
END;
--> statement-breakpoint
CREATE TRIGGER `events_end` AFTER INSERT ON `events` WHEN new.`kind` IN ('finished', 'reopened') BEGIN
  INSERT INTO `make_states` (`make`, `open`) VALUES (new.`make`, coalesce((SELECT `kind` <> 'finished' FROM `events` WHERE `make` = new.`make` AND `kind` IN ('finished', 'reopened') ORDER BY `n` DESC, `seq` DESC LIMIT 1), 1))
  ON CONFLICT (`make`) DO UPDATE SET `open` = excluded.`open`;
END;
--> statement-breakpoint
CREATE INDEX `make_states_open` ON `make_states` (`make`) WHERE `open` = 1;
