-- An edit may carry the forces of a whole building.
ALTER TABLE command MODIFY body LONGTEXT NOT NULL;

-- How the columns of a table of station forces were read, remembered by name for every project.
CREATE TABLE force_mapping (
  name        VARCHAR(100) NOT NULL PRIMARY KEY,
  body        TEXT         NOT NULL
) ENGINE=InnoDB;
