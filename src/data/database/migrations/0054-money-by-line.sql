-- Of our own work that came back: what somebody said of a single line, whether it is ours.
CREATE TABLE job_cover (
  job_id INTEGER NOT NULL REFERENCES job(id),
  line TEXT NOT NULL CHECK (line GLOB 'fault ?*' OR line GLOB 'part ?*'),
  ours INTEGER NOT NULL CHECK (ours IN (0, 1)),
  at TEXT NOT NULL,
  PRIMARY KEY (job_id, line)
) STRICT, WITHOUT ROWID;

-- A piece planned for a seat that has a price of its own, a donor's or one made here: it is part of what the customer agrees to.
ALTER TABLE quote_part ADD COLUMN price_minor INTEGER CHECK (price_minor >= 0);
ALTER TABLE quote_part ADD COLUMN source TEXT CHECK (source IN ('donor', 'drawer', 'counter', 'customer', 'made'));
