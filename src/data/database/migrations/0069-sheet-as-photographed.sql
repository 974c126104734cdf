-- The picture a page was read from, as it was taken: the page itself is laid flat and lit evenly.
ALTER TABLE sheet_page ADD COLUMN original_hash TEXT REFERENCES photo(hash);
