-- What an import is made of, so that another server takes it up where the one that does it dies. Gone with its end.
CREATE TABLE job_input (
  job_id      CHAR(36)     CHARACTER SET ascii NOT NULL PRIMARY KEY,
  project_id  CHAR(12)     CHARACTER SET ascii NOT NULL,
  name        VARCHAR(200) CHARACTER SET utf8mb4 NULL,
  file_name   VARCHAR(200) CHARACTER SET utf8mb4 NOT NULL,
  person      VARCHAR(80)  CHARACTER SET utf8mb4 NOT NULL,
  account     CHAR(12)     CHARACTER SET ascii NULL,
  address     VARCHAR(45)  CHARACTER SET utf8mb4 NOT NULL,
  from_window VARCHAR(60)  CHARACTER SET utf8mb4 NOT NULL,
  megabytes   INT          NOT NULL,
  tries       INT          NOT NULL DEFAULT 1,
  parts       INT          NOT NULL DEFAULT 0,
  CONSTRAINT job_input_job FOREIGN KEY (job_id) REFERENCES job (id) ON DELETE CASCADE
) ENGINE=InnoDB;

CREATE TABLE job_input_part (
  job_id      CHAR(36)     CHARACTER SET ascii NOT NULL,
  part        INT          NOT NULL,
  content     MEDIUMBLOB   NOT NULL,
  PRIMARY KEY (job_id, part),
  CONSTRAINT job_input_part_input FOREIGN KEY (job_id) REFERENCES job_input (job_id) ON DELETE CASCADE
) ENGINE=InnoDB;
