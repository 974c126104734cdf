-- What the reel came for; it chooses the stations, the tests and what is charged.
ALTER TABLE job ADD COLUMN kind TEXT NOT NULL DEFAULT 'repair'
  CHECK (kind IN ('repair', 'full-service', 'light-service', 'purchase-check', 'comeback'));
-- The job whose work came back.
ALTER TABLE job ADD COLUMN comeback_of INTEGER REFERENCES job(id);
CREATE INDEX job_comeback_of ON job(comeback_of) WHERE comeback_of IS NOT NULL;
