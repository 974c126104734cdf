-- Who may come in from another device, and how: hashes alone (Argon2id, RFC 9106).
ALTER TABLE person ADD COLUMN passphrase_hash TEXT;
ALTER TABLE person ADD COLUMN pin_hash TEXT;

-- Who is at which device. The token itself is never kept, only its SHA-256.
CREATE TABLE session (
  id INTEGER PRIMARY KEY,
  token_hash TEXT NOT NULL UNIQUE CHECK (length(token_hash) = 64),
  person_id INTEGER NOT NULL REFERENCES person(id),
  over TEXT NOT NULL CHECK (over IN ('loopback', 'network')),
  address TEXT NOT NULL CHECK (length(address) <= 60),
  device TEXT NOT NULL CHECK (length(device) <= 120),
  begun_at TEXT NOT NULL,
  seen_at TEXT NOT NULL,
  ended_at TEXT
) STRICT;
CREATE INDEX session_open ON session(person_id) WHERE ended_at IS NULL;

-- A phone is brought in once, within minutes.
CREATE TABLE invitation (
  token_hash TEXT PRIMARY KEY CHECK (length(token_hash) = 64),
  person_id INTEGER NOT NULL REFERENCES person(id),
  until TEXT NOT NULL,
  used_at TEXT
) STRICT, WITHOUT ROWID;

-- Tries that failed, counted by whom they were for and from where they came; gone with the next that goes.
CREATE TABLE failed_try (
  of TEXT PRIMARY KEY CHECK (length(of) <= 80),
  failures INTEGER NOT NULL CHECK (failures >= 1),
  last_at TEXT NOT NULL
) STRICT, WITHOUT ROWID;

ALTER TABLE journal ADD COLUMN session_id INTEGER REFERENCES session(id);
