-- How deep a reel is opened is said by assembly: what somebody asked to be opened, or to stay shut.
CREATE TABLE job_assembly (
  job_id INTEGER NOT NULL REFERENCES job(id),
  assembly_id TEXT NOT NULL,
  opened INTEGER NOT NULL CHECK (opened IN (0, 1)),
  -- Somebody said so; or it was to be opened when the first part came off, and later findings only widen that.
  why TEXT NOT NULL DEFAULT 'asked' CHECK (why IN ('asked', 'fault', 'part', 'service', 'complaint')),
  at TEXT NOT NULL,
  PRIMARY KEY (job_id, assembly_id)
) STRICT, WITHOUT ROWID;

-- A job comes for something (kind); how deep it goes is a way of working.
ALTER TABLE job ADD COLUMN kind_now TEXT NOT NULL DEFAULT 'repair'
  CHECK (kind_now IN ('repair', 'service', 'upgrade', 'purchase-check', 'comeback'));
UPDATE job SET kind_now = CASE kind WHEN 'full-service' THEN 'service' WHEN 'light-service' THEN 'service' ELSE kind END;
INSERT INTO job_way (job_id, way, choice)
  SELECT id, 'depth', CASE kind WHEN 'full-service' THEN 'full' ELSE 'light' END FROM job WHERE kind IN ('full-service', 'light-service')
  ON CONFLICT DO UPDATE SET choice = excluded.choice;
ALTER TABLE job DROP COLUMN kind;
ALTER TABLE job RENAME COLUMN kind_now TO kind;
