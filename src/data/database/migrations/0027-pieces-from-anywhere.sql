-- Where a fitted piece came from when not from a bin or a donor: a drawer, a counter, the customer, our own hands.
ALTER TABLE instance ADD COLUMN source TEXT CHECK (source IN ('drawer', 'counter', 'customer', 'made'));
-- A piece without a catalogue number: known to its reel, and not offered anywhere until somebody gives it a number.
ALTER TABLE part_type ADD COLUMN unlisted INTEGER NOT NULL DEFAULT 0 CHECK (unlisted IN (0, 1));
-- What came off a reel and is not on its drawing; it goes back, or stays out with a reason.
CREATE TABLE extra_piece (
  id INTEGER PRIMARY KEY,
  job_id INTEGER NOT NULL REFERENCES job(id),
  words TEXT NOT NULL CHECK (length(words) BETWEEN 2 AND 160),
  state TEXT NOT NULL DEFAULT 'off' CHECK (state IN ('off', 'back', 'left-out')),
  at TEXT NOT NULL
) STRICT;
CREATE INDEX extra_piece_of_job ON extra_piece (job_id);
