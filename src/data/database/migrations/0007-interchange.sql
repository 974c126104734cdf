-- What is shared between models, read and written whole; the models it names are listed beside it so that a seat finds its sets.
CREATE TABLE interchange_set (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  set_json TEXT NOT NULL CHECK (json_valid(set_json))
) STRICT, WITHOUT ROWID;

-- A conversion of one model: parts that come together.
CREATE TABLE kit (
  id TEXT PRIMARY KEY,
  model_id TEXT NOT NULL REFERENCES model(id),
  kit_json TEXT NOT NULL CHECK (json_valid(kit_json))
) STRICT, WITHOUT ROWID;
CREATE INDEX kit_by_model ON kit(model_id);

-- A piece off a scrapped reel: stock with an origin, one row a piece.
CREATE TABLE donor_piece (
  id INTEGER PRIMARY KEY,
  reel_id INTEGER NOT NULL REFERENCES reel(id),
  position_id TEXT NOT NULL,
  part_type_id TEXT NOT NULL REFERENCES part_type(id),
  condition TEXT NOT NULL CHECK (condition IN ('good', 'worn')),
  price_minor INTEGER NOT NULL CHECK (price_minor >= 0),
  drawer TEXT NOT NULL DEFAULT '' CHECK (length(drawer) <= 40),
  state TEXT NOT NULL DEFAULT 'lying' CHECK (state IN ('lying', 'used')),
  used_job_id INTEGER REFERENCES job(id),
  at TEXT NOT NULL,
  CHECK ((state = 'used') = (used_job_id IS NOT NULL)),
  UNIQUE (reel_id, position_id)
) STRICT;
CREATE INDEX donor_piece_by_part ON donor_piece(part_type_id) WHERE state = 'lying';

-- A fitted piece that came off a donor.
ALTER TABLE instance ADD COLUMN donor_piece_id INTEGER REFERENCES donor_piece(id);
