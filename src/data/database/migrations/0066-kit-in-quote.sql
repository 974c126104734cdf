-- The kit a new part came into the quote with: its parts are one line there, with one no.
ALTER TABLE quote_part ADD COLUMN kit_id TEXT;
