-- Parts of a reel that no schematic knows, in the order they came off. They become seats of its model in one act.
CREATE TABLE loose_part (
  job_id INTEGER NOT NULL REFERENCES job(id),
  well INTEGER NOT NULL CHECK (well >= 1),
  kind TEXT NOT NULL,
  name TEXT NOT NULL DEFAULT '' CHECK (length(name) <= 80),
  photo_hash TEXT,
  taken_at TEXT NOT NULL,
  PRIMARY KEY (job_id, well)
) STRICT, WITHOUT ROWID;

-- "reels of this model seen here"
CREATE INDEX reel_by_model ON reel(model_id);
