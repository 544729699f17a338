-- Who did it, and what it brought with it: lines and stacks that became others, what was set by hand and moved with them.
ALTER TABLE command ADD COLUMN person VARCHAR(80) NOT NULL DEFAULT '', ADD COLUMN effects MEDIUMTEXT NULL;
