-- Where the adjuster stood when a pull was taken: turns of a star or knob from the first contact, degrees of a lever.
ALTER TABLE observation ADD COLUMN setting REAL CHECK (setting IS NULL OR setting >= 0);

-- What was measured once on reels of a model and no schematic says: the star's pitch, how much its stack gives, a lever's cam.
CREATE TABLE model_number (
  id INTEGER PRIMARY KEY,
  model_id TEXT NOT NULL REFERENCES model(id),
  number TEXT NOT NULL,
  value REAL,
  -- A cam's points, as they are typed.
  words TEXT NOT NULL DEFAULT '',
  job_id INTEGER NOT NULL REFERENCES job(id),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  UNIQUE (model_id, number, job_id),
  CHECK ((value IS NULL) = (words <> ''))
) STRICT;
