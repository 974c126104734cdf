-- What a scale, a caliper or a ruler told at any step, and the figures of a gauge that was kept: drawn over a reel's visits.
CREATE TABLE measure (
  id INTEGER PRIMARY KEY,
  job_id INTEGER NOT NULL REFERENCES job(id),
  phase TEXT NOT NULL CHECK (phase IN ('before', 'after')),
  kind TEXT NOT NULL,
  -- Empty where it is of the reel and not of one seat.
  position_id TEXT NOT NULL DEFAULT '',
  -- In the bench's words: a length's own name, a gauge's figure.
  name TEXT NOT NULL,
  value REAL NOT NULL,
  low REAL NOT NULL,
  high REAL NOT NULL,
  unit TEXT NOT NULL,
  says TEXT NOT NULL DEFAULT '',
  input TEXT NOT NULL CHECK (json_valid(input)),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  -- Taken again on the same job it takes its own place.
  UNIQUE (job_id, phase, kind, position_id, name),
  CHECK (low <= value AND value <= high)
) STRICT;
