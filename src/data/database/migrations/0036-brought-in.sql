-- Files that were brought in, each undone as a whole: what every row made, and what stood there before.
CREATE TABLE brought_in (
  id INTEGER PRIMARY KEY,
  kind TEXT NOT NULL,
  file TEXT NOT NULL CHECK (length(file) <= 200),
  rows INTEGER NOT NULL CHECK (rows > 0),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  undone_at TEXT
) STRICT;
CREATE TABLE brought_in_row (
  brought_in_id INTEGER NOT NULL REFERENCES brought_in(id),
  row INTEGER NOT NULL,
  -- What it made: a table's row, by its keys.
  made TEXT NOT NULL,
  ref TEXT NOT NULL CHECK (json_valid(ref)),
  -- Null where nothing was there.
  before TEXT CHECK (before IS NULL OR json_valid(before)),
  PRIMARY KEY (brought_in_id, row, made)
) STRICT, WITHOUT ROWID;

-- Visits of before this book: from paper, from a spreadsheet. They count as nothing but what is written here.
CREATE TABLE past_visit (
  id INTEGER PRIMARY KEY,
  reel_id INTEGER NOT NULL REFERENCES reel(id),
  on_day TEXT CHECK (on_day IS NULL OR on_day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  words TEXT NOT NULL DEFAULT '' CHECK (length(words) <= 500),
  paid_minor INTEGER
) STRICT;
CREATE INDEX past_visit_of_reel ON past_visit(reel_id, on_day);
