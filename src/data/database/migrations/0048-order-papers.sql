-- Where a supplier takes orders by mail; empty where it does not.
ALTER TABLE supplier ADD COLUMN email TEXT NOT NULL DEFAULT '' CHECK (length(email) <= 200);
-- What the supplier's desk said of an order, such as another day.
ALTER TABLE purchase_order ADD COLUMN desk_note TEXT NOT NULL DEFAULT '' CHECK (length(desk_note) <= 300);
