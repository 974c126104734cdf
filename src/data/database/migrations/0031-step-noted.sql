-- What was measured, repeated or used at a step, in the technician's words: a shim of 0.12 mm, pressed in twice, three drops.
CREATE TABLE step_noted (
  job_id INTEGER NOT NULL REFERENCES job(id),
  operation_id TEXT NOT NULL,
  words TEXT NOT NULL CHECK (length(words) BETWEEN 1 AND 160),
  at TEXT NOT NULL,
  PRIMARY KEY (job_id, operation_id)
) STRICT, WITHOUT ROWID;
