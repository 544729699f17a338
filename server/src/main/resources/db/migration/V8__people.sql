-- Accounts of an office. They are never removed, so that a name in a history stays who it was. A password is kept as its bcrypt hash alone,
-- empty where a person signs in through a provider; who they are there is kept as a SHA-256 of provider and subject.
CREATE TABLE account (
  id             CHAR(12)     NOT NULL PRIMARY KEY,
  name           VARCHAR(60)  CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci NOT NULL,
  password       VARCHAR(72)  CHARACTER SET ascii NOT NULL,
  administrator  BOOLEAN      NOT NULL,
  active         BOOLEAN      NOT NULL,
  must_change    BOOLEAN      NOT NULL,
  failures       INT          NOT NULL DEFAULT 0,
  wait_until     DATETIME(3)  NULL,
  made_at        DATETIME(3)  NOT NULL,
  signed_in_at   DATETIME(3)  NULL,
  subject        CHAR(64)     CHARACTER SET ascii NULL,
  UNIQUE KEY account_name (name),
  UNIQUE KEY account_subject (subject)
) ENGINE=InnoDB;

-- Browsers that are signed in. The secret is kept as its SHA-256 alone.
CREATE TABLE sign_in (
  secret      CHAR(64)     CHARACTER SET ascii NOT NULL PRIMARY KEY,
  account_id  CHAR(12)     NOT NULL,
  began_at    DATETIME(3)  NOT NULL,
  seen_at     DATETIME(3)  NOT NULL,
  address     VARCHAR(45)  NOT NULL,
  device      VARCHAR(200) CHARACTER SET utf8mb4 NOT NULL,
  KEY sign_in_seen (seen_at),
  CONSTRAINT sign_in_account FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE
) ENGINE=InnoDB;

-- Tokens of programs that work for a person. The secret is kept as its SHA-256 alone.
CREATE TABLE access_token (
  id          CHAR(12)     NOT NULL PRIMARY KEY,
  secret      CHAR(64)     CHARACTER SET ascii NOT NULL,
  account_id  CHAR(12)     NOT NULL,
  name        VARCHAR(60)  CHARACTER SET utf8mb4 NOT NULL,
  made_at     DATETIME(3)  NOT NULL,
  ends_at     DATETIME(3)  NOT NULL,
  used_at     DATETIME(3)  NULL,
  UNIQUE KEY access_token_secret (secret),
  CONSTRAINT access_token_account FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE
) ENGINE=InnoDB;

-- Who may do what with a project.
CREATE TABLE project_role (
  project_id  CHAR(12)     NOT NULL,
  account_id  CHAR(12)     NOT NULL,
  role        VARCHAR(10)  NOT NULL,
  PRIMARY KEY (project_id, account_id),
  CONSTRAINT project_role_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE,
  CONSTRAINT project_role_account FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE
) ENGINE=InnoDB;

-- Who did what, when, from where. Rows are written with what they tell of, and never changed; they outlast the project.
CREATE TABLE deed (
  id          BIGINT       NOT NULL AUTO_INCREMENT PRIMARY KEY,
  made_at     DATETIME(3)  NOT NULL,
  project_id  CHAR(12)     NOT NULL DEFAULT '',
  version     INT          NULL,
  made_in     VARCHAR(60)  CHARACTER SET utf8mb4 NOT NULL,
  person      VARCHAR(60)  CHARACTER SET utf8mb4 NOT NULL,
  address     VARCHAR(45)  NOT NULL,
  kind        VARCHAR(40)  NOT NULL,
  detail      VARCHAR(400) CHARACTER SET utf8mb4 NOT NULL,
  KEY deed_project (project_id, id)
) ENGINE=InnoDB;
