-- What came of the acts at a seat where it was not simply as the rule says: what went on instead, how it came out of its cleaning, how it felt.
CREATE TABLE seat_outcome (
  job_id INTEGER NOT NULL REFERENCES job(id),
  position_id TEXT NOT NULL,
  product TEXT CHECK (product IS NULL OR length(product) BETWEEN 1 AND 60),
  clean TEXT CHECK (clean IN ('stained', 'pitted', 'not-clean')),
  feel TEXT,
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  PRIMARY KEY (job_id, position_id)
) STRICT, WITHOUT ROWID;
