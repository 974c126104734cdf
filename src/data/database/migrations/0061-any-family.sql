-- A family is a page of core; the book does not name them all a second time.
CREATE TABLE model_now (
  id TEXT PRIMARY KEY,
  maker TEXT NOT NULL,
  name TEXT NOT NULL,
  family TEXT NOT NULL,
  value_minor INTEGER CHECK (value_minor >= 0),
  built TEXT,
  UNIQUE (maker, name)
) STRICT, WITHOUT ROWID;
INSERT INTO model_now (id, maker, name, family, value_minor, built) SELECT id, maker, name, family, value_minor, built FROM model;
DROP TABLE model;
ALTER TABLE model_now RENAME TO model;
