-- A person who asked to be forgotten: the reel's history stays without them. What an invoice must keep is the name alone, until a day.
ALTER TABLE customer ADD COLUMN erased_at TEXT;
CREATE TABLE invoice_name (
  customer_id INTEGER PRIMARY KEY REFERENCES customer(id),
  name TEXT NOT NULL,
  keep_until TEXT NOT NULL CHECK (keep_until GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]')
) STRICT;
