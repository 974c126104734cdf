-- A printed schematic brought in beside the drawn one: one picture a model, with seats placed on it.
CREATE TABLE model_picture (
  model_id TEXT PRIMARY KEY REFERENCES model(id),
  photo_hash TEXT NOT NULL REFERENCES photo(hash),
  width INTEGER NOT NULL,
  height INTEGER NOT NULL
) STRICT, WITHOUT ROWID;

-- Where a seat is on the picture, as shares of its width and height.
CREATE TABLE model_picture_mark (
  model_id TEXT NOT NULL REFERENCES model_picture(model_id) ON DELETE CASCADE,
  position_id TEXT NOT NULL,
  x REAL NOT NULL CHECK (x BETWEEN 0 AND 1),
  y REAL NOT NULL CHECK (y BETWEEN 0 AND 1),
  PRIMARY KEY (model_id, position_id)
) STRICT, WITHOUT ROWID;
