-- What a shop adds to the common knowledge of faults and signs, and where it differs on how often one brings the other about.
CREATE TABLE shop_fault (
  id TEXT PRIMARY KEY CHECK (id GLOB 'shop-*'),
  fault TEXT NOT NULL CHECK (json_valid(fault)),
  at TEXT NOT NULL
) STRICT, WITHOUT ROWID;

CREATE TABLE shop_finding (
  id TEXT PRIMARY KEY CHECK (id GLOB 'shop-*'),
  finding TEXT NOT NULL CHECK (json_valid(finding)),
  at TEXT NOT NULL
) STRICT, WITHOUT ROWID;

-- A strength of null strikes the pair.
CREATE TABLE shop_strength (
  fault_id TEXT NOT NULL,
  finding_id TEXT NOT NULL,
  strength TEXT CHECK (strength IN ('always', 'usually', 'often', 'sometimes', 'seldom')),
  note TEXT NOT NULL CHECK (length(note) <= 200),
  PRIMARY KEY (fault_id, finding_id)
) STRICT, WITHOUT ROWID;
