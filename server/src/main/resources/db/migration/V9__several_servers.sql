-- Designs as they were published, in parts that every database takes. Only the build of the application that wrote one reads it; all can be made anew.
CREATE TABLE design (
  id          CHAR(12)     NOT NULL PRIMARY KEY,
  project_id  CHAR(12)     NOT NULL,
  version     INT          NOT NULL,
  build       CHAR(40)     CHARACTER SET ascii NOT NULL,
  made_at     DATETIME(3)  NOT NULL,
  UNIQUE KEY design_of (project_id, version, build),
  CONSTRAINT design_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
) ENGINE=InnoDB;

CREATE TABLE design_part (
  design_id   CHAR(12)     NOT NULL,
  part        INT          NOT NULL,
  content     MEDIUMBLOB   NOT NULL,
  PRIMARY KEY (design_id, part),
  CONSTRAINT design_part_design FOREIGN KEY (design_id) REFERENCES design (id) ON DELETE CASCADE
) ENGINE=InnoDB;

-- Long work that any server or worker of the same build may take. Who takes it holds it for some seconds at a time; what is not held any more is taken again.
CREATE TABLE task (
  id            CHAR(12)     NOT NULL PRIMARY KEY,
  kind          VARCHAR(20)  CHARACTER SET ascii NOT NULL,
  project_id    CHAR(12)     NOT NULL,
  version       INT          NOT NULL,
  build         CHAR(40)     CHARACTER SET ascii NOT NULL,
  person        VARCHAR(60)  CHARACTER SET utf8mb4 NOT NULL,
  state         VARCHAR(10)  CHARACTER SET ascii NOT NULL,
  asked_at      DATETIME(3)  NOT NULL,
  holder        CHAR(12)     CHARACTER SET ascii NULL,
  held_until    DATETIME(3)  NULL,
  tries         INT          NOT NULL DEFAULT 0,
  doing         VARCHAR(100) CHARACTER SET utf8mb4 NOT NULL DEFAULT '',
  done          INT          NOT NULL DEFAULT 0,
  total         INT          NOT NULL DEFAULT 0,
  findings      MEDIUMTEXT   CHARACTER SET utf8mb4 NULL,
  UNIQUE KEY task_of (kind, project_id, version, build),
  KEY task_state (state, asked_at),
  CONSTRAINT task_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
) ENGINE=InnoDB;

-- Which windows have which project open, by the server that they talk to; each server renews its own every few seconds.
CREATE TABLE presence (
  server      CHAR(12)     CHARACTER SET ascii NOT NULL,
  number      INT          NOT NULL,
  project_id  CHAR(12)     NOT NULL,
  person      VARCHAR(60)  CHARACTER SET utf8mb4 NOT NULL,
  made_in     VARCHAR(60)  CHARACTER SET utf8mb4 NOT NULL,
  seen_at     DATETIME(3)  NOT NULL,
  PRIMARY KEY (server, number),
  KEY presence_project (project_id)
) ENGINE=InnoDB;
