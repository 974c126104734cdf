-- A closed job is not changed: what was wrong or came later is added to it, and shows.
CREATE TABLE job_correction (
  id INTEGER PRIMARY KEY,
  job_id INTEGER NOT NULL REFERENCES job(id),
  words TEXT NOT NULL CHECK (length(words) BETWEEN 4 AND 500),
  -- Paid on top, or given back where it is below nothing.
  amount_minor INTEGER NOT NULL DEFAULT 0 CHECK (amount_minor BETWEEN -100000000 AND 100000000),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id)
) STRICT;
CREATE INDEX job_correction_of_job ON job_correction(job_id);
CREATE TRIGGER job_correction_kept_update BEFORE UPDATE ON job_correction BEGIN SELECT RAISE(ABORT, 'corrections-are-added'); END;
CREATE TRIGGER job_correction_kept_delete BEFORE DELETE ON job_correction BEGIN SELECT RAISE(ABORT, 'corrections-are-added'); END;
