-- A device from which somebody came in before: tries of others do not hold it up. The token itself is never kept, only its SHA-256.
CREATE TABLE known_device (
  token_hash TEXT PRIMARY KEY CHECK (length(token_hash) = 64),
  person_id INTEGER NOT NULL REFERENCES person(id),
  since TEXT NOT NULL
) STRICT, WITHOUT ROWID;
