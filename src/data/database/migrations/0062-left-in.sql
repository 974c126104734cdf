-- A part may stay in by choice, without a reason.
CREATE TABLE seat_in_place_new (
  job_id INTEGER NOT NULL REFERENCES job(id),
  position_id TEXT NOT NULL,
  reason TEXT NOT NULL CHECK (length(reason) <= 200),
  at TEXT NOT NULL,
  PRIMARY KEY (job_id, position_id)
) STRICT, WITHOUT ROWID;
INSERT INTO seat_in_place_new SELECT job_id, position_id, reason, at FROM seat_in_place;
DROP TABLE seat_in_place;
ALTER TABLE seat_in_place_new RENAME TO seat_in_place;
