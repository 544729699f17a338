-- What title blocks and heads of pages tell of a project. Its version grows with every change of it and is not the project's: nothing is designed anew for it.
CREATE TABLE project_data (
  project_id  CHAR(12)     NOT NULL,
  version     INT          NOT NULL,
  body        MEDIUMTEXT   NOT NULL,
  logo        MEDIUMBLOB   NULL,
  PRIMARY KEY (project_id),
  CONSTRAINT project_data_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
) ENGINE=InnoDB;
