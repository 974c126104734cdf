-- A reel built from the parts of several models: what sits in a seat of this reel instead of what its model says.
CREATE TABLE reel_override (
  reel_id INTEGER NOT NULL REFERENCES reel(id),
  position_id TEXT NOT NULL,
  part_type_id TEXT NOT NULL REFERENCES part_type(id),
  at TEXT NOT NULL,
  PRIMARY KEY (reel_id, position_id)
) STRICT, WITHOUT ROWID;
