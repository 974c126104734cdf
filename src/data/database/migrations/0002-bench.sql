-- What is measured, found, agreed, taken off, fitted, ordered.
CREATE TABLE observation (
  id INTEGER PRIMARY KEY,
  job_id INTEGER NOT NULL REFERENCES job(id),
  phase TEXT NOT NULL CHECK (phase IN ('before', 'after')),
  test_id TEXT NOT NULL,
  verdict TEXT NOT NULL CHECK (verdict IN ('good', 'doubtful', 'bad')),
  value REAL,
  unit TEXT,
  line_radius_mm REAL CHECK (line_radius_mm IS NULL OR line_radius_mm > 0),
  instrument TEXT NOT NULL,
  simulated INTEGER NOT NULL CHECK (simulated IN (0, 1)),
  trace TEXT CHECK (trace IS NULL OR json_valid(trace)),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  CHECK ((value IS NULL) = (unit IS NULL))
) STRICT;
-- The newest observation of a test counts; the earlier ones stay.
CREATE INDEX observation_newest ON observation(job_id, phase, test_id, id DESC);

CREATE TABLE finding (
  job_id INTEGER NOT NULL REFERENCES job(id),
  fault_id TEXT NOT NULL,
  note TEXT NOT NULL DEFAULT '',
  at TEXT NOT NULL,
  PRIMARY KEY (job_id, fault_id)
) STRICT, WITHOUT ROWID;

CREATE TABLE quote_part (
  job_id INTEGER NOT NULL REFERENCES job(id),
  position_id TEXT NOT NULL,
  part_type_id TEXT NOT NULL REFERENCES part_type(id),
  PRIMARY KEY (job_id, position_id)
) STRICT, WITHOUT ROWID;

-- The customer's answers; a later answer is a new row.
CREATE TABLE answer (
  id INTEGER PRIMARY KEY,
  job_id INTEGER NOT NULL REFERENCES job(id),
  accepted INTEGER NOT NULL CHECK (accepted IN (0, 1)),
  total_minor INTEGER NOT NULL CHECK (total_minor >= 0),
  words TEXT NOT NULL CHECK (length(words) BETWEEN 1 AND 500),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id)
) STRICT;
CREATE INDEX answer_by_job ON answer(job_id, id);

-- The physical piece in a seat of this reel: what came off, or what was fitted in its stead.
CREATE TABLE instance (
  id INTEGER PRIMARY KEY,
  reel_id INTEGER NOT NULL REFERENCES reel(id),
  position_id TEXT NOT NULL,
  part_type_id TEXT NOT NULL REFERENCES part_type(id),
  origin TEXT NOT NULL CHECK (origin IN ('found', 'stock')),
  fitted_job_id INTEGER REFERENCES job(id),
  removed_job_id INTEGER REFERENCES job(id)
) STRICT;
CREATE INDEX instance_by_reel ON instance(reel_id, position_id);
-- A seat holds one piece at a time.
CREATE UNIQUE INDEX instance_in_seat ON instance(reel_id, position_id) WHERE removed_job_id IS NULL;

CREATE TABLE tray_well (
  job_id INTEGER NOT NULL REFERENCES job(id),
  position_id TEXT NOT NULL,
  well INTEGER NOT NULL CHECK (well >= 1),
  instance_id INTEGER NOT NULL REFERENCES instance(id),
  verdict TEXT NOT NULL DEFAULT 'ok' CHECK (verdict IN ('ok', 'worn', 'replace', 'watch')),
  orientation TEXT NOT NULL DEFAULT '',
  note TEXT NOT NULL DEFAULT '',
  photo_hash TEXT,
  taken_at TEXT NOT NULL,
  left_out_reason TEXT CHECK (left_out_reason IS NULL OR length(left_out_reason) BETWEEN 4 AND 300),
  -- A part is taken off once per job: a second press of another device finds the well filled.
  PRIMARY KEY (job_id, position_id),
  UNIQUE (job_id, well)
) STRICT, WITHOUT ROWID;

CREATE TABLE build_step (
  job_id INTEGER NOT NULL REFERENCES job(id),
  operation_id TEXT NOT NULL,
  state TEXT NOT NULL CHECK (state IN ('done', 'failed', 'skipped')),
  note TEXT NOT NULL DEFAULT '',
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  PRIMARY KEY (job_id, operation_id)
) STRICT, WITHOUT ROWID;

CREATE TABLE photo (
  hash TEXT PRIMARY KEY,
  width INTEGER NOT NULL,
  height INTEGER NOT NULL,
  bytes INTEGER NOT NULL,
  at TEXT NOT NULL
) STRICT, WITHOUT ROWID;

CREATE TABLE stock (
  part_type_id TEXT PRIMARY KEY REFERENCES part_type(id),
  bin TEXT NOT NULL,
  count INTEGER NOT NULL CHECK (count >= 0),
  minimum INTEGER NOT NULL DEFAULT 0 CHECK (minimum >= 0)
) STRICT, WITHOUT ROWID;

CREATE TABLE stock_move (
  id INTEGER PRIMARY KEY,
  part_type_id TEXT NOT NULL REFERENCES part_type(id),
  delta INTEGER NOT NULL CHECK (delta <> 0),
  reason TEXT NOT NULL CHECK (reason IN ('used', 'used-undone', 'received', 'counted')),
  job_id INTEGER REFERENCES job(id),
  order_line_id INTEGER,
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id)
) STRICT;

CREATE TABLE supplier (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  postage_minor INTEGER NOT NULL CHECK (postage_minor >= 0),
  lead_days INTEGER NOT NULL CHECK (lead_days >= 0)
) STRICT, WITHOUT ROWID;

CREATE TABLE offer (
  supplier_id TEXT NOT NULL REFERENCES supplier(id),
  part_type_id TEXT NOT NULL REFERENCES part_type(id),
  price_minor INTEGER NOT NULL CHECK (price_minor >= 0),
  PRIMARY KEY (supplier_id, part_type_id)
) STRICT, WITHOUT ROWID;

CREATE TABLE purchase_order (
  id INTEGER PRIMARY KEY,
  supplier_id TEXT NOT NULL REFERENCES supplier(id),
  placed_at TEXT NOT NULL,
  expected_on TEXT NOT NULL,
  desk_reference TEXT NOT NULL
) STRICT;

CREATE TABLE order_line (
  id INTEGER PRIMARY KEY,
  order_id INTEGER NOT NULL REFERENCES purchase_order(id),
  part_type_id TEXT NOT NULL REFERENCES part_type(id),
  quantity INTEGER NOT NULL CHECK (quantity >= 1),
  received INTEGER NOT NULL DEFAULT 0,
  price_minor INTEGER NOT NULL CHECK (price_minor >= 0),
  CHECK (received BETWEEN 0 AND quantity)
) STRICT;
CREATE INDEX order_line_by_order ON order_line(order_id);

-- A piece wanted by a job for a seat. open -> ordered -> arrived (kept aside) -> used; or withdrawn.
CREATE TABLE need (
  id INTEGER PRIMARY KEY,
  job_id INTEGER NOT NULL REFERENCES job(id),
  position_id TEXT NOT NULL,
  part_type_id TEXT NOT NULL REFERENCES part_type(id),
  state TEXT NOT NULL CHECK (state IN ('open', 'ordered', 'arrived', 'used', 'withdrawn')),
  order_line_id INTEGER REFERENCES order_line(id),
  at TEXT NOT NULL,
  CHECK (state NOT IN ('ordered', 'arrived') OR order_line_id IS NOT NULL)
) STRICT;
CREATE UNIQUE INDEX need_once ON need(job_id, position_id) WHERE state IN ('open', 'ordered', 'arrived');
CREATE INDEX need_by_state ON need(state, part_type_id);
