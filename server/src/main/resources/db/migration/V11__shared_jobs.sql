-- Imports, curves and files that are made, as every server tells of them: who does the work, how far it is, whether somebody wants it stopped. Gone some minutes after their end.
CREATE TABLE job (
  id          CHAR(36)     CHARACTER SET ascii NOT NULL PRIMARY KEY,
  kind        VARCHAR(20)  CHARACTER SET ascii NOT NULL,
  project_id  CHAR(12)     CHARACTER SET ascii NULL,
  holder      CHAR(12)     CHARACTER SET ascii NOT NULL,
  held_until  DATETIME(3)  NOT NULL,
  phase       VARCHAR(10)  CHARACTER SET ascii NOT NULL,
  doing       VARCHAR(100) CHARACTER SET utf8mb4 NOT NULL DEFAULT '',
  done        INT          NOT NULL DEFAULT 0,
  total       INT          NOT NULL DEFAULT 0,
  findings    MEDIUMTEXT   CHARACTER SET utf8mb4 NULL,
  result      VARCHAR(100) CHARACTER SET utf8mb4 NULL,
  cancelled   BOOLEAN      NOT NULL DEFAULT FALSE,
  KEY job_held (held_until)
) ENGINE=InnoDB;

-- What such work made, in parts that every database takes.
CREATE TABLE job_file (
  job_id      CHAR(36)     CHARACTER SET ascii NOT NULL PRIMARY KEY,
  type        VARCHAR(120) CHARACTER SET utf8mb4 NOT NULL,
  name        VARCHAR(200) CHARACTER SET utf8mb4 NOT NULL,
  kept_at     DATETIME(3)  NOT NULL,
  CONSTRAINT job_file_job FOREIGN KEY (job_id) REFERENCES job (id) ON DELETE CASCADE
) ENGINE=InnoDB;

CREATE TABLE job_part (
  job_id      CHAR(36)     CHARACTER SET ascii NOT NULL,
  part        INT          NOT NULL,
  content     MEDIUMBLOB   NOT NULL,
  PRIMARY KEY (job_id, part),
  CONSTRAINT job_part_file FOREIGN KEY (job_id) REFERENCES job_file (job_id) ON DELETE CASCADE
) ENGINE=InnoDB;
