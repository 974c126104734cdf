-- Places oiled with the part left in: what they got, or that they were left out on purpose.
CREATE TABLE oil_point (
  job_id INTEGER NOT NULL REFERENCES job(id),
  position_id TEXT NOT NULL,
  -- As it was confirmed; a way of working that changes later does not change what went in.
  product TEXT NOT NULL,
  amount TEXT NOT NULL,
  drops INTEGER NOT NULL DEFAULT 0 CHECK (drops BETWEEN 0 AND 50),
  left_out INTEGER NOT NULL DEFAULT 0 CHECK (left_out IN (0, 1)),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  PRIMARY KEY (job_id, position_id)
) STRICT, WITHOUT ROWID;
