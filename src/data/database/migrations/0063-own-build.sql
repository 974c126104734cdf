-- One reel may be built otherwise than its model: what was chosen for it, and the machine made so. The model's current version is none of these.
ALTER TABLE model_version ADD COLUMN own_reel_id INTEGER REFERENCES reel(id);
CREATE INDEX model_version_own ON model_version (own_reel_id) WHERE own_reel_id IS NOT NULL;
CREATE TABLE reel_build (
  reel_id INTEGER NOT NULL REFERENCES reel(id),
  variant TEXT NOT NULL,
  choice TEXT NOT NULL,
  at TEXT NOT NULL,
  PRIMARY KEY (reel_id, variant)
) STRICT, WITHOUT ROWID;
