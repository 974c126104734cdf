-- What somebody says a friction lining of this reel is made of; a piece fitted in its place later speaks for itself.
CREATE TABLE reel_lining (
  reel_id INTEGER NOT NULL REFERENCES reel(id),
  position_id TEXT NOT NULL,
  material TEXT NOT NULL CHECK (length(material) BETWEEN 2 AND 40),
  job_id INTEGER NOT NULL REFERENCES job(id),
  at TEXT NOT NULL,
  PRIMARY KEY (reel_id, position_id)
) STRICT, WITHOUT ROWID;
