-- What a gauge said of a reel, kept with the job: its inputs whole, and the words that stand in the report.
CREATE TABLE gauge_result (
  job_id INTEGER NOT NULL REFERENCES job(id),
  gauge TEXT NOT NULL,
  input TEXT NOT NULL CHECK (json_valid(input)),
  words TEXT NOT NULL CHECK (length(words) BETWEEN 1 AND 1000),
  at TEXT NOT NULL,
  PRIMARY KEY (job_id, gauge)
) STRICT, WITHOUT ROWID;
