-- A deleted project rests here, with who deleted it, until it is brought back or its time is over.
ALTER TABLE project
  ADD COLUMN deleted_at DATETIME(3) NULL,
  ADD COLUMN deleted_by VARCHAR(60) CHARACTER SET utf8mb4 NOT NULL DEFAULT '',
  ADD KEY project_deleted (deleted_at);
