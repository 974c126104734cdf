-- What is not used any more stays in the records and is not offered again. Row versions guard a card open in two windows.
ALTER TABLE part_type ADD COLUMN retired_at TEXT;
ALTER TABLE part_type ADD COLUMN row_version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE supplier ADD COLUMN retired_at TEXT;
ALTER TABLE supplier ADD COLUMN row_version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE customer ADD COLUMN retired_at TEXT;
