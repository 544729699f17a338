-- A newer model of the same building, adopted at a version of the project. The model that the project began with stays in model_file.
CREATE TABLE model_revision (
  project_id  CHAR(12)     NOT NULL,
  version     INT          NOT NULL,
  file_name   VARCHAR(255) NOT NULL,
  content     LONGBLOB     NOT NULL,
  PRIMARY KEY (project_id, version),
  CONSTRAINT model_revision_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
) ENGINE=InnoDB;
