-- A sheet keeps the words it was read from, so that its list can be read again with other columns; empty for one that came before.
ALTER TABLE sheet ADD COLUMN words TEXT NOT NULL DEFAULT '';
-- What makers call a column, from a sheet on which somebody said so: known from then on.
CREATE TABLE sheet_header (
  words TEXT PRIMARY KEY CHECK (length(words) BETWEEN 1 AND 60),
  field TEXT NOT NULL CHECK (field IN ('callout', 'number', 'description', 'quantity', 'price', 'remarks'))
) STRICT, WITHOUT ROWID;
