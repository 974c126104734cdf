-- A customer is asked about a quote: what stood in it then, by which link, until when. The link's token is kept as its hash alone.
CREATE TABLE asking (
  id INTEGER PRIMARY KEY,
  job_id INTEGER NOT NULL REFERENCES job(id),
  token_hash TEXT NOT NULL UNIQUE,
  asked TEXT NOT NULL CHECK (json_valid(asked)),
  total_minor INTEGER NOT NULL,
  made_at TEXT NOT NULL,
  expires_at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  revoked_at TEXT,
  answered_at TEXT,
  answered_by TEXT CHECK (answered_by IN ('link', 'codes', 'phone')),
  CHECK ((answered_at IS NULL) = (answered_by IS NULL))
) STRICT;
CREATE INDEX asking_of_job ON asking(job_id);
-- One letter of a job holds at a time.
CREATE UNIQUE INDEX asking_open ON asking(job_id) WHERE revoked_at IS NULL AND answered_at IS NULL;

-- Mail that waits to be sent; what was sent is kept as its reference alone.
CREATE TABLE outbox (
  id INTEGER PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('quote', 'order')),
  -- The asking or the order it is about.
  ref INTEGER NOT NULL,
  to_address TEXT NOT NULL,
  subject TEXT NOT NULL,
  text TEXT NOT NULL,
  made_at TEXT NOT NULL,
  sent_at TEXT,
  reference TEXT,
  CHECK ((sent_at IS NULL) = (reference IS NULL)),
  CHECK (sent_at IS NULL OR (to_address = '' AND text = ''))
) STRICT;
CREATE INDEX outbox_waiting ON outbox(id) WHERE sent_at IS NULL;
