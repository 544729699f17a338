-- Bases of design kept under a name for every project. Names differ by letter and accent.
CREATE TABLE kept_basis (
  name        VARCHAR(80)  CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL PRIMARY KEY,
  body        MEDIUMTEXT   NOT NULL,
  kept_at     DATETIME(3)  NOT NULL
) ENGINE=InnoDB;
