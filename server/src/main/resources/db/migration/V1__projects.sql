CREATE TABLE project (
  id          CHAR(12)     NOT NULL PRIMARY KEY,
  name        VARCHAR(200) NOT NULL,
  created_at  DATETIME(3)  NOT NULL,
  changed_at  DATETIME(3)  NOT NULL,
  version     INT          NOT NULL
) ENGINE=InnoDB;

-- What the user gave: the model's bytes as uploaded, gzip. A project has one.
CREATE TABLE model_file (
  project_id  CHAR(12)     NOT NULL PRIMARY KEY,
  file_name   VARCHAR(255) NOT NULL,
  content     LONGBLOB     NOT NULL,
  CONSTRAINT model_file_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
) ENGINE=InnoDB;

-- Everything the user did, in order. The state of a project is its last command of each kind.
CREATE TABLE command (
  project_id  CHAR(12)     NOT NULL,
  version     INT          NOT NULL,
  kind        VARCHAR(40)  NOT NULL,
  body        MEDIUMTEXT   NOT NULL,
  made_at     DATETIME(3)  NOT NULL,
  PRIMARY KEY (project_id, version),
  KEY command_kind (project_id, kind, version),
  CONSTRAINT command_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
) ENGINE=InnoDB;
