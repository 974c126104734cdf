-- What was looked at in a job, and whether it was so. A second answer replaces the first; the journal keeps both.
CREATE TABLE look (
  job_id INTEGER NOT NULL REFERENCES job(id),
  finding_id TEXT NOT NULL,
  so INTEGER NOT NULL CHECK (so IN (0, 1)),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  PRIMARY KEY (job_id, finding_id)
) STRICT, WITHOUT ROWID;

-- A fault proved or ruled out with the part in the hand: the only cases the shop's own counts rest on.
CREATE TABLE settled_fault (
  job_id INTEGER NOT NULL REFERENCES job(id),
  fault_id TEXT NOT NULL,
  proved INTEGER NOT NULL CHECK (proved IN (0, 1)),
  at TEXT NOT NULL,
  PRIMARY KEY (job_id, fault_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX settled_by_fault ON settled_fault(fault_id);
-- What was found before this table was counted as proved.
INSERT INTO settled_fault (job_id, fault_id, proved, at) SELECT job_id, fault_id, 1, at FROM finding;
