-- A well holds what came off in one act of the hands, in its order: four screws lie in one well.
CREATE TABLE tray_well_new (
  job_id INTEGER NOT NULL REFERENCES job(id),
  position_id TEXT NOT NULL,
  well INTEGER NOT NULL CHECK (well >= 1),
  place INTEGER NOT NULL DEFAULT 1 CHECK (place >= 1),
  instance_id INTEGER NOT NULL REFERENCES instance(id),
  verdict TEXT NOT NULL DEFAULT 'ok' CHECK (verdict IN ('ok', 'worn', 'replace', 'missing', 'wrong', 'watch', 'dressed')),
  -- How it was dressed by hand: filed, polished, reformed.
  dressed TEXT NOT NULL DEFAULT '' CHECK (length(dressed) <= 80),
  orientation TEXT NOT NULL DEFAULT '',
  note TEXT NOT NULL DEFAULT '',
  hole TEXT NOT NULL DEFAULT '' CHECK (length(hole) <= 60),
  thread TEXT CHECK (thread IN ('right', 'left')),
  found_count INTEGER NOT NULL DEFAULT 1 CHECK (found_count BETWEEN 0 AND 20),
  photo_hash TEXT,
  taken_at TEXT NOT NULL,
  left_out_reason TEXT CHECK (left_out_reason IS NULL OR length(left_out_reason) BETWEEN 4 AND 300),
  cleaned_at TEXT,
  -- Counts what was written down of it, so that two windows do not overwrite each other.
  row_version INTEGER NOT NULL DEFAULT 1,
  -- A part is taken off once per job: a second press of another device finds the well filled.
  PRIMARY KEY (job_id, position_id),
  UNIQUE (job_id, well, place)
) STRICT, WITHOUT ROWID;
INSERT INTO tray_well_new (job_id, position_id, well, place, instance_id, verdict, orientation, note, hole, thread, found_count, photo_hash, taken_at, left_out_reason, cleaned_at)
SELECT job_id, position_id,
       dense_rank() OVER (PARTITION BY job_id ORDER BY pulled_with),
       row_number() OVER (PARTITION BY job_id, pulled_with ORDER BY well),
       instance_id, verdict, orientation, note, hole, thread, found_count, photo_hash, taken_at, left_out_reason, cleaned_at
FROM tray_well;
DROP TABLE tray_well;
ALTER TABLE tray_well_new RENAME TO tray_well;

-- The first step of the act of the hands a step was done in: an undo takes the whole act back.
ALTER TABLE build_step ADD COLUMN act TEXT NOT NULL DEFAULT '';
UPDATE build_step SET act = operation_id;
