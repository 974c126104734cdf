-- Like reels from one sender, taken in and worked together.
CREATE TABLE lot (
  id INTEGER PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 80),
  customer_id INTEGER NOT NULL REFERENCES customer(id),
  model_id TEXT NOT NULL REFERENCES model(id),
  at TEXT NOT NULL
) STRICT;

ALTER TABLE job ADD COLUMN lot_id INTEGER REFERENCES lot(id);
-- What tells it from its sisters: a boat's number, a rod's colour.
ALTER TABLE job ADD COLUMN mark TEXT NOT NULL DEFAULT '' CHECK (length(mark) <= 40);
CREATE INDEX job_by_lot ON job(lot_id) WHERE lot_id IS NOT NULL;
