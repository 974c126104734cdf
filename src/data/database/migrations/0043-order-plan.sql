-- What a supplier's parcel costs by the value in it, from what value it is free, and below what value none is sent.
ALTER TABLE supplier ADD COLUMN free_post_from_minor INTEGER CHECK (free_post_from_minor IS NULL OR free_post_from_minor >= 0);
ALTER TABLE supplier ADD COLUMN smallest_order_minor INTEGER NOT NULL DEFAULT 0 CHECK (smallest_order_minor >= 0);
CREATE TABLE supplier_postage (
  supplier_id TEXT NOT NULL REFERENCES supplier(id),
  from_minor INTEGER NOT NULL CHECK (from_minor > 0),
  postage_minor INTEGER NOT NULL CHECK (postage_minor >= 0),
  PRIMARY KEY (supplier_id, from_minor)
) STRICT, WITHOUT ROWID;

-- A price is that of a pack; further prices when several packs are taken together.
ALTER TABLE offer ADD COLUMN pack INTEGER NOT NULL DEFAULT 1 CHECK (pack >= 1);
CREATE TABLE offer_break (
  supplier_id TEXT NOT NULL,
  part_type_id TEXT NOT NULL,
  from_packs INTEGER NOT NULL CHECK (from_packs >= 2),
  price_minor INTEGER NOT NULL CHECK (price_minor >= 0),
  PRIMARY KEY (supplier_id, part_type_id, from_packs),
  FOREIGN KEY (supplier_id, part_type_id) REFERENCES offer(supplier_id, part_type_id) ON DELETE CASCADE
) STRICT, WITHOUT ROWID;

-- Quantity stays in pieces; the price of a line is that of a pack.
ALTER TABLE order_line ADD COLUMN pack INTEGER NOT NULL DEFAULT 1 CHECK (pack >= 1);

-- How poor a substitute may be that goes to a job.
ALTER TABLE need ADD COLUMN lowest_grade TEXT NOT NULL DEFAULT 'drop-in'
  CHECK (lowest_grade IN ('same-number', 'drop-in', 'fits-with-note', 'cut-to-size', 'donor-only'));

-- When a parcel came.
CREATE INDEX stock_move_received ON stock_move(order_line_id) WHERE order_line_id IS NOT NULL;
