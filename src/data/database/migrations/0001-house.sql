-- People, the journal, presses, settings.
CREATE TABLE person (
  id INTEGER PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  role TEXT NOT NULL CHECK (role IN ('owner', 'bench', 'counter')),
  active INTEGER NOT NULL DEFAULT 1 CHECK (active IN (0, 1))
) STRICT;

CREATE TABLE setting (
  key TEXT PRIMARY KEY,
  value TEXT NOT NULL CHECK (json_valid(value))
) STRICT, WITHOUT ROWID;

-- A press carries an id made by the client: the same press sent twice (a glove, a lost answer, a restart) is answered, not done again.
CREATE TABLE press (
  id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 8 AND 64),
  action TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  at TEXT NOT NULL,
  answer TEXT NOT NULL CHECK (json_valid(answer))
) STRICT, WITHOUT ROWID;

CREATE TABLE customer (
  id INTEGER PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 80),
  phone TEXT NOT NULL DEFAULT '',
  email TEXT NOT NULL DEFAULT '',
  note TEXT NOT NULL DEFAULT '',
  row_version INTEGER NOT NULL DEFAULT 1
) STRICT;

-- Catalogue entries. Sizes live in shape, guarded by a schema at the edge.
CREATE TABLE part_type (
  id TEXT PRIMARY KEY,
  number TEXT NOT NULL UNIQUE,
  name TEXT NOT NULL,
  role TEXT NOT NULL,
  shape TEXT NOT NULL CHECK (json_valid(shape)),
  material TEXT NOT NULL,
  price_minor INTEGER NOT NULL CHECK (price_minor >= 0),
  thread TEXT CHECK (thread IN ('right', 'left'))
) STRICT, WITHOUT ROWID;

CREATE TABLE model (
  id TEXT PRIMARY KEY,
  maker TEXT NOT NULL,
  name TEXT NOT NULL,
  family TEXT NOT NULL CHECK (family IN ('star-drag-bridge', 'star-drag-clutch', 'lever-drag', 'baitcaster-low-profile', 'baitcaster-round',
    'spinning', 'spinning-fluid-sealed', 'spinning-sealed-bail-less', 'spincast', 'centrepin')),
  UNIQUE (maker, name)
) STRICT, WITHOUT ROWID;

-- A version is immutable once a job has used it: a report of four years ago still means what it meant.
CREATE TABLE model_version (
  id INTEGER PRIMARY KEY,
  model_id TEXT NOT NULL REFERENCES model(id),
  number INTEGER NOT NULL CHECK (number >= 1),
  used INTEGER NOT NULL DEFAULT 0 CHECK (used IN (0, 1)),
  line_radius_mm REAL NOT NULL CHECK (line_radius_mm > 0),
  UNIQUE (model_id, number)
) STRICT;

CREATE TABLE assembly (
  model_version_id INTEGER NOT NULL REFERENCES model_version(id),
  id TEXT NOT NULL,
  ordinal INTEGER NOT NULL,
  name TEXT NOT NULL,
  side TEXT NOT NULL CHECK (side IN ('handle', 'tail', 'frame')),
  PRIMARY KEY (model_version_id, id)
) STRICT, WITHOUT ROWID;

CREATE TABLE position (
  model_version_id INTEGER NOT NULL,
  id TEXT NOT NULL,
  assembly_id TEXT NOT NULL,
  ordinal INTEGER NOT NULL CHECK (ordinal >= 0),
  name TEXT NOT NULL,
  part_type_id TEXT NOT NULL REFERENCES part_type(id),
  -- What the seat asks for (orientation, rests on, held by, lubricant ...), read and written whole.
  seat TEXT NOT NULL CHECK (json_valid(seat)),
  PRIMARY KEY (model_version_id, id),
  FOREIGN KEY (model_version_id, assembly_id) REFERENCES assembly(model_version_id, id)
) STRICT, WITHOUT ROWID;
-- "where else does this part fit"
CREATE INDEX position_by_part ON position(part_type_id);

CREATE TABLE operation (
  model_version_id INTEGER NOT NULL,
  id TEXT NOT NULL,
  ordinal INTEGER NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('place', 'start', 'turn-home', 'tighten', 'press', 'set-state', 'lubricate', 'gate', 'release')),
  position_id TEXT,
  -- Words, order and proofs of the act, read and written whole.
  act TEXT NOT NULL CHECK (json_valid(act)),
  PRIMARY KEY (model_version_id, id),
  FOREIGN KEY (model_version_id, position_id) REFERENCES position(model_version_id, id)
) STRICT, WITHOUT ROWID;

CREATE TRIGGER model_version_frozen BEFORE UPDATE ON model_version
WHEN OLD.used = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
CREATE TRIGGER model_version_kept BEFORE DELETE ON model_version
WHEN OLD.used = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
CREATE TRIGGER assembly_frozen_insert BEFORE INSERT ON assembly
WHEN (SELECT used FROM model_version WHERE id = NEW.model_version_id) = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
CREATE TRIGGER position_frozen_insert BEFORE INSERT ON position
WHEN (SELECT used FROM model_version WHERE id = NEW.model_version_id) = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
CREATE TRIGGER position_frozen_update BEFORE UPDATE ON position
WHEN (SELECT used FROM model_version WHERE id = OLD.model_version_id) = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
CREATE TRIGGER position_frozen_delete BEFORE DELETE ON position
WHEN (SELECT used FROM model_version WHERE id = OLD.model_version_id) = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
CREATE TRIGGER operation_frozen_insert BEFORE INSERT ON operation
WHEN (SELECT used FROM model_version WHERE id = NEW.model_version_id) = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
CREATE TRIGGER operation_frozen_update BEFORE UPDATE ON operation
WHEN (SELECT used FROM model_version WHERE id = OLD.model_version_id) = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
CREATE TRIGGER operation_frozen_delete BEFORE DELETE ON operation
WHEN (SELECT used FROM model_version WHERE id = OLD.model_version_id) = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;

CREATE TABLE reel (
  id INTEGER PRIMARY KEY,
  model_id TEXT NOT NULL REFERENCES model(id),
  serial TEXT NOT NULL DEFAULT '' CHECK (length(serial) <= 40),
  hand TEXT NOT NULL CHECK (hand IN ('right', 'left')),
  owner_id INTEGER NOT NULL REFERENCES customer(id),
  row_version INTEGER NOT NULL DEFAULT 1
) STRICT;
-- One serial of one model is one reel; an unread serial is left empty and never matches.
CREATE UNIQUE INDEX reel_by_serial ON reel(model_id, serial) WHERE serial <> '';
CREATE INDEX reel_by_owner ON reel(owner_id);

CREATE TABLE job (
  id INTEGER PRIMARY KEY,
  tag TEXT NOT NULL UNIQUE,
  reel_id INTEGER NOT NULL REFERENCES reel(id),
  customer_id INTEGER NOT NULL REFERENCES customer(id),
  model_version_id INTEGER NOT NULL REFERENCES model_version(id),
  station TEXT NOT NULL CHECK (station IN ('test', 'find', 'quote', 'strip', 'parts', 'build', 'prove', 'return', 'closed')),
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
  CHECK ((station = 'closed') = (closed_at IS NOT NULL))
) STRICT;
CREATE INDEX job_open ON job(promised_on) WHERE closed_at IS NULL;
CREATE INDEX job_by_reel ON job(reel_id);
CREATE INDEX job_by_customer ON job(customer_id);

-- Prices as they stood when the job was opened.
CREATE TABLE job_price (
  job_id INTEGER NOT NULL REFERENCES job(id),
  part_type_id TEXT NOT NULL REFERENCES part_type(id),
  price_minor INTEGER NOT NULL CHECK (price_minor >= 0),
  PRIMARY KEY (job_id, part_type_id)
) STRICT, WITHOUT ROWID;

CREATE TABLE job_brought (
  job_id INTEGER NOT NULL REFERENCES job(id),
  item TEXT NOT NULL,
  given_back_at TEXT,
  PRIMARY KEY (job_id, item)
) STRICT, WITHOUT ROWID;

CREATE TABLE journal (
  id INTEGER PRIMARY KEY,
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  action TEXT NOT NULL,
  job_id INTEGER REFERENCES job(id),
  reel_id INTEGER REFERENCES reel(id),
  customer_id INTEGER REFERENCES customer(id),
  detail TEXT NOT NULL CHECK (json_valid(detail))
) STRICT;
CREATE INDEX journal_by_job ON journal(job_id, id);
CREATE INDEX journal_by_reel ON journal(reel_id, id);
CREATE TRIGGER journal_append_only_update BEFORE UPDATE ON journal BEGIN SELECT RAISE(ABORT, 'journal-append-only'); END;
CREATE TRIGGER journal_append_only_delete BEFORE DELETE ON journal BEGIN SELECT RAISE(ABORT, 'journal-append-only'); END;

-- One find index over everything that can be looked up. rowid is not kept stable: ref says what it is.
CREATE VIRTUAL TABLE find USING fts5(words, kind UNINDEXED, ref UNINDEXED, title UNINDEXED, tokenize = "unicode61 remove_diacritics 2", prefix = '2 3');
