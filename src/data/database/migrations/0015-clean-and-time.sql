-- The Clean station stands between Strip and Parts; what was handed back also says how it was paid.
CREATE TABLE job_new (
  id INTEGER PRIMARY KEY,
  tag TEXT NOT NULL UNIQUE,
  reel_id INTEGER NOT NULL REFERENCES reel(id),
  customer_id INTEGER NOT NULL REFERENCES customer(id),
  model_version_id INTEGER NOT NULL REFERENCES model_version(id),
  station TEXT NOT NULL CHECK (station IN ('test', 'find', 'quote', 'strip', 'clean', 'parts', 'build', 'prove', 'return', 'closed')),
  complaint TEXT NOT NULL DEFAULT '',
  intake TEXT NOT NULL CHECK (json_valid(intake)),
  limit_minor INTEGER CHECK (limit_minor >= 0),
  wanted_on TEXT CHECK (wanted_on IS NULL OR wanted_on GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  promised_on TEXT NOT NULL CHECK (promised_on GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  -- Pinned when the job is opened.
  rate_per_hour_minor INTEGER NOT NULL CHECK (rate_per_hour_minor >= 0),
  tax_basis_points INTEGER NOT NULL CHECK (tax_basis_points BETWEEN 0 AND 10000),
  currency TEXT NOT NULL CHECK (length(currency) = 3),
  opened_at TEXT NOT NULL,
  closed_at TEXT,
  final_total_minor INTEGER,
  signed_by TEXT,
  row_version INTEGER NOT NULL DEFAULT 1,
  edition_id TEXT,
  lot_id INTEGER REFERENCES lot(id),
  mark TEXT NOT NULL DEFAULT '' CHECK (length(mark) <= 40),
  kind TEXT NOT NULL DEFAULT 'repair' CHECK (kind IN ('repair', 'full-service', 'light-service', 'purchase-check', 'comeback')),
  comeback_of INTEGER REFERENCES job(id),
  discount_basis_points INTEGER NOT NULL DEFAULT 0 CHECK (discount_basis_points BETWEEN 0 AND 10000),
  deposit_minor INTEGER NOT NULL DEFAULT 0 CHECK (deposit_minor >= 0),
  declined_reason TEXT CHECK (declined_reason IS NULL OR length(trim(declined_reason)) BETWEEN 1 AND 500),
  -- A note of how it was paid; no card is handled here.
  paid_by TEXT CHECK (paid_by IN ('cash', 'card', 'transfer', 'invoice', 'nothing')),
  paid_note TEXT NOT NULL DEFAULT '' CHECK (length(paid_note) <= 200),
  old_parts TEXT CHECK (old_parts IN ('returned', 'kept', 'none')),
  CHECK ((station = 'closed') = (closed_at IS NOT NULL))
) STRICT;
INSERT INTO job_new (id, tag, reel_id, customer_id, model_version_id, station, complaint, intake, limit_minor, wanted_on, promised_on,
                     rate_per_hour_minor, tax_basis_points, currency, opened_at, closed_at, final_total_minor, signed_by, row_version,
                     edition_id, lot_id, mark, kind, comeback_of, discount_basis_points, deposit_minor, declined_reason)
SELECT id, tag, reel_id, customer_id, model_version_id, station, complaint, intake, limit_minor, wanted_on, promised_on,
       rate_per_hour_minor, tax_basis_points, currency, opened_at, closed_at, final_total_minor, signed_by, row_version,
       edition_id, lot_id, mark, kind, comeback_of, discount_basis_points, deposit_minor, declined_reason FROM job;
DROP TABLE job;
ALTER TABLE job_new RENAME TO job;
CREATE INDEX job_open ON job(promised_on) WHERE closed_at IS NULL;
CREATE INDEX job_by_reel ON job(reel_id);
CREATE INDEX job_by_customer ON job(customer_id);
CREATE INDEX job_by_lot ON job(lot_id) WHERE lot_id IS NOT NULL;
CREATE INDEX job_comeback_of ON job(comeback_of) WHERE comeback_of IS NOT NULL;

CREATE TABLE tray_well_new (
  job_id INTEGER NOT NULL REFERENCES job(id),
  position_id TEXT NOT NULL,
  well INTEGER NOT NULL CHECK (well >= 1),
  instance_id INTEGER NOT NULL REFERENCES instance(id),
  verdict TEXT NOT NULL DEFAULT 'ok' CHECK (verdict IN ('ok', 'worn', 'replace', 'missing', 'wrong', 'watch')),
  orientation TEXT NOT NULL DEFAULT '',
  note TEXT NOT NULL DEFAULT '',
  -- As found, where it matters: which hole, which way the thread goes, how many like washers lay here.
  hole TEXT NOT NULL DEFAULT '' CHECK (length(hole) <= 60),
  thread TEXT CHECK (thread IN ('right', 'left')),
  found_count INTEGER NOT NULL DEFAULT 1 CHECK (found_count BETWEEN 0 AND 20),
  photo_hash TEXT,
  taken_at TEXT NOT NULL,
  left_out_reason TEXT CHECK (left_out_reason IS NULL OR length(left_out_reason) BETWEEN 4 AND 300),
  -- The first well of the pull this part came off in; its own number when it came alone.
  pulled_with INTEGER NOT NULL CHECK (pulled_with >= 1),
  cleaned_at TEXT,
  -- A part is taken off once per job: a second press of another device finds the well filled.
  PRIMARY KEY (job_id, position_id),
  UNIQUE (job_id, well)
) STRICT, WITHOUT ROWID;
INSERT INTO tray_well_new (job_id, position_id, well, instance_id, verdict, orientation, note, photo_hash, taken_at, left_out_reason, pulled_with)
SELECT job_id, position_id, well, instance_id, verdict, orientation, note, photo_hash, taken_at, left_out_reason, well FROM tray_well;
DROP TABLE tray_well;
ALTER TABLE tray_well_new RENAME TO tray_well;

-- Served where it sits: it could not be drawn, or was not worth it.
CREATE TABLE seat_in_place (
  job_id INTEGER NOT NULL REFERENCES job(id),
  position_id TEXT NOT NULL,
  reason TEXT NOT NULL CHECK (length(reason) BETWEEN 2 AND 200),
  at TEXT NOT NULL,
  PRIMARY KEY (job_id, position_id)
) STRICT, WITHOUT ROWID;

-- A bath and what lies in it; parts of several named reels may share one.
CREATE TABLE soak (
  id INTEGER PRIMARY KEY,
  method TEXT NOT NULL,
  minutes REAL NOT NULL CHECK (minutes > 0 AND minutes <= 2880),
  started_at TEXT NOT NULL,
  ended_at TEXT
) STRICT;
CREATE INDEX soak_running ON soak(started_at) WHERE ended_at IS NULL;
CREATE TABLE soak_part (
  soak_id INTEGER NOT NULL REFERENCES soak(id),
  job_id INTEGER NOT NULL REFERENCES job(id),
  position_id TEXT NOT NULL,
  -- What tells this reel's parts from those of a like reel in the same basket.
  mark TEXT NOT NULL DEFAULT '' CHECK (length(mark) <= 40),
  back TEXT CHECK (back IN ('well', 'missing')),
  PRIMARY KEY (soak_id, job_id, position_id)
) STRICT, WITHOUT ROWID;
-- A part lies in one bath at a time.
CREATE UNIQUE INDEX soak_part_once ON soak_part(job_id, position_id) WHERE back IS NULL;

-- Minutes of a station put right by hand; the newest counts.
CREATE TABLE station_minutes (
  job_id INTEGER NOT NULL REFERENCES job(id),
  station TEXT NOT NULL,
  minutes REAL NOT NULL CHECK (minutes >= 0 AND minutes <= 6000),
  at TEXT NOT NULL,
  PRIMARY KEY (job_id, station)
) STRICT, WITHOUT ROWID;

-- Ways of working: a customer's wish for all their reels, a note on one job. The nearest wins.
CREATE TABLE customer_school (
  customer_id INTEGER NOT NULL REFERENCES customer(id),
  school TEXT NOT NULL,
  choice TEXT NOT NULL,
  PRIMARY KEY (customer_id, school)
) STRICT, WITHOUT ROWID;
CREATE TABLE job_school (
  job_id INTEGER NOT NULL REFERENCES job(id),
  school TEXT NOT NULL,
  choice TEXT NOT NULL,
  PRIMARY KEY (job_id, school)
) STRICT, WITHOUT ROWID;

-- The owner was told that the reel hangs ready.
CREATE TABLE fetch_reminder (
  id INTEGER PRIMARY KEY,
  job_id INTEGER NOT NULL REFERENCES job(id),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id)
) STRICT;
CREATE INDEX fetch_reminder_by_job ON fetch_reminder(job_id, id);
