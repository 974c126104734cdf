-- Tins and bottles on the bench's shelf, one after the other for each product.
CREATE TABLE tin (
  id INTEGER PRIMARY KEY,
  product TEXT NOT NULL,
  words TEXT NOT NULL DEFAULT '' CHECK (length(words) <= 80),
  -- Millilitres of what runs, grams of what does not.
  holds REAL NOT NULL CHECK (holds > 0 AND holds <= 100000),
  price_minor INTEGER NOT NULL CHECK (price_minor >= 0),
  opened_on TEXT NOT NULL CHECK (opened_on GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  use_by TEXT CHECK (use_by IS NULL OR use_by GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  -- How it ended: empty, or thrown away with some left, which teaches nothing of how far one goes.
  ended_on TEXT,
  empty INTEGER CHECK (empty IN (0, 1)),
  CHECK ((ended_on IS NULL) = (empty IS NULL))
) STRICT;
CREATE UNIQUE INDEX tin_open ON tin(product) WHERE ended_on IS NULL;

-- What a finished reel took, as the bench confirmed it: drops and dabs by product, baths by method.
CREATE TABLE consumable_use (
  job_id INTEGER NOT NULL REFERENCES job(id),
  product TEXT NOT NULL,
  times REAL NOT NULL CHECK (times > 0),
  on_day TEXT NOT NULL,
  PRIMARY KEY (job_id, product)
) STRICT, WITHOUT ROWID;
CREATE INDEX consumable_use_by_day ON consumable_use(product, on_day);
