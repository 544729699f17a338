-- What waits to be used, for whichever server is asked next: newer models and tables of forces that were uploaded, curves of types that were made. Gone when it is used, with its project, and after a day.
CREATE TABLE upload (
  id          CHAR(36)     CHARACTER SET ascii NOT NULL PRIMARY KEY,
  project_id  CHAR(12)     NOT NULL,
  kind        VARCHAR(10)  CHARACTER SET ascii NOT NULL,
  file_name   VARCHAR(200) CHARACTER SET utf8mb4 NOT NULL,
  kept_at     DATETIME(3)  NOT NULL,
  bytes       INT          NOT NULL,
  whole       BOOLEAN      NOT NULL DEFAULT FALSE,
  KEY upload_kept (kept_at),
  CONSTRAINT upload_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
) ENGINE=InnoDB;

CREATE TABLE upload_part (
  upload_id   CHAR(36)     CHARACTER SET ascii NOT NULL,
  part        INT          NOT NULL,
  content     MEDIUMBLOB   NOT NULL,
  PRIMARY KEY (upload_id, part),
  CONSTRAINT upload_part_upload FOREIGN KEY (upload_id) REFERENCES upload (id) ON DELETE CASCADE
) ENGINE=InnoDB;
