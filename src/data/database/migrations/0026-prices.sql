-- The shop's price list as it stood when a reel was taken in; null for a job of before there was one.
ALTER TABLE job ADD COLUMN prices TEXT;
-- What the reel is worth as it is, said at the counter, and for its model.
ALTER TABLE job ADD COLUMN value_minor INTEGER CHECK (value_minor >= 0);
ALTER TABLE model ADD COLUMN value_minor INTEGER CHECK (value_minor >= 0);
-- Lines of the shop's own on a job: postage, a line for something unusual, one taken off.
CREATE TABLE job_line (
  id INTEGER PRIMARY KEY,
  job_id INTEGER NOT NULL REFERENCES job(id),
  words TEXT NOT NULL CHECK (length(words) BETWEEN 2 AND 120),
  price_minor INTEGER NOT NULL CHECK (price_minor BETWEEN -100000000 AND 100000000),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX job_line_of_job ON job_line (job_id);
