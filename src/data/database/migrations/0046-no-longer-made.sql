-- A part its maker no longer makes; what is left of it may still be sold somewhere.
ALTER TABLE part_type ADD COLUMN no_longer_made INTEGER NOT NULL DEFAULT 0 CHECK (no_longer_made IN (0, 1));

-- What could not be had for a reel, and what its owner is told.
CREATE TABLE not_to_be_had (
  job_id INTEGER NOT NULL REFERENCES job(id),
  position_id TEXT NOT NULL,
  part_type_id TEXT NOT NULL REFERENCES part_type(id),
  words TEXT NOT NULL CHECK (length(words) BETWEEN 2 AND 300),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  PRIMARY KEY (job_id, position_id)
) STRICT, WITHOUT ROWID;
