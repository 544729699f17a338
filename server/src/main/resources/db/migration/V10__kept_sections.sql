-- What is kept under a name for every project, by kind: bases of design and, from now on, sections of the bench.
RENAME TABLE kept_basis TO kept;
ALTER TABLE kept
  ADD COLUMN kind VARCHAR(10) CHARACTER SET ascii NOT NULL DEFAULT 'basis' FIRST,
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (kind, name);
ALTER TABLE kept ALTER COLUMN kind DROP DEFAULT;
