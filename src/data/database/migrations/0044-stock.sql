-- A bin's level: by hand, or by its use and the days a parcel takes.
ALTER TABLE stock ADD COLUMN by_use INTEGER NOT NULL DEFAULT 0 CHECK (by_use IN (0, 1));
ALTER TABLE stock ADD COLUMN counted_at TEXT;

-- Why a count differed; pieces that went back to their supplier.
CREATE TABLE stock_move_now (
  id INTEGER PRIMARY KEY,
  part_type_id TEXT NOT NULL REFERENCES part_type(id),
  delta INTEGER NOT NULL CHECK (delta <> 0),
  reason TEXT NOT NULL CHECK (reason IN ('used', 'used-undone', 'received', 'counted', 'sent-back')),
  why TEXT CHECK (why IN ('used-not-written', 'lost', 'broken', 'found', 'miscounted', 'other')),
  job_id INTEGER REFERENCES job(id),
  order_line_id INTEGER REFERENCES order_line(id),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id)
) STRICT;
INSERT INTO stock_move_now (id, part_type_id, delta, reason, job_id, order_line_id, at, person_id)
  SELECT id, part_type_id, delta, reason, job_id, order_line_id, at, person_id FROM stock_move;
DROP TABLE stock_move;
ALTER TABLE stock_move_now RENAME TO stock_move;
CREATE INDEX stock_move_received ON stock_move(order_line_id) WHERE order_line_id IS NOT NULL;
CREATE INDEX stock_move_of_part ON stock_move(part_type_id, at);

-- What came besides what was ordered, and what it cost in the end.
ALTER TABLE order_line ADD COLUMN extra INTEGER NOT NULL DEFAULT 0 CHECK (extra >= 0);
ALTER TABLE order_line ADD COLUMN paid_minor INTEGER CHECK (paid_minor >= 0);
-- The rest of a line will not come: it is sent no more, or was asked back.
ALTER TABLE order_line ADD COLUMN given_up INTEGER NOT NULL DEFAULT 0 CHECK (given_up >= 0);

-- Pieces that came wrong: they go back, and are made good by another piece or by money.
CREATE TABLE bad_piece (
  id INTEGER PRIMARY KEY,
  order_line_id INTEGER NOT NULL REFERENCES order_line(id),
  kind TEXT NOT NULL CHECK (kind IN ('wrong', 'broken')),
  pieces INTEGER NOT NULL CHECK (pieces >= 1),
  words TEXT NOT NULL DEFAULT '' CHECK (length(words) <= 200),
  state TEXT NOT NULL CHECK (state IN ('here', 'sent-back', 'replaced', 'credited')),
  credit_minor INTEGER CHECK (credit_minor >= 0),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  settled_at TEXT,
  CHECK ((state = 'credited') = (credit_minor IS NOT NULL))
) STRICT;
CREATE INDEX bad_piece_of_line ON bad_piece(order_line_id);
CREATE INDEX bad_piece_open ON bad_piece(state) WHERE state IN ('here', 'sent-back');
