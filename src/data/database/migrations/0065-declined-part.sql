-- New parts that the customer said no to: each its own no. The old piece goes back, and the account says why.
CREATE TABLE declined_part (
  job_id INTEGER NOT NULL REFERENCES job(id),
  position_id TEXT NOT NULL,
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  PRIMARY KEY (job_id, position_id)
) STRICT, WITHOUT ROWID;
