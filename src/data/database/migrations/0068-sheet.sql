-- A maker's sheet that is being read: its list as it stands, with what was confirmed. It waits until a model is made of it.
CREATE TABLE sheet (
  id INTEGER PRIMARY KEY,
  name TEXT NOT NULL,
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  family TEXT NOT NULL,
  -- How the family is built as far as the list says, as JSON.
  chosen TEXT NOT NULL,
  -- Its rows and what is odd about the list, as JSON (core/sheets/kept-sheet).
  rows TEXT NOT NULL,
  doubts TEXT NOT NULL,
  model_id TEXT REFERENCES model(id),
  row_version INTEGER NOT NULL DEFAULT 1
) STRICT;
-- What its pages look like.
CREATE TABLE sheet_page (
  sheet_id INTEGER NOT NULL REFERENCES sheet(id) ON DELETE CASCADE,
  page INTEGER NOT NULL,
  photo_hash TEXT NOT NULL REFERENCES photo(hash),
  width INTEGER NOT NULL,
  height INTEGER NOT NULL,
  PRIMARY KEY (sheet_id, page)
) STRICT, WITHOUT ROWID;
