-- Where a customer lives, for invoices and letters.
ALTER TABLE customer ADD COLUMN address TEXT NOT NULL DEFAULT '' CHECK (length(address) <= 200);
-- What an invoice has to say for itself, as it was when it was made: who made it out, to which address, and the day of supply.
ALTER TABLE paper ADD COLUMN shop TEXT CHECK (shop IS NULL OR json_valid(shop));
ALTER TABLE paper ADD COLUMN supplied_on TEXT CHECK (supplied_on IS NULL OR supplied_on GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]');
ALTER TABLE paper_name ADD COLUMN address TEXT NOT NULL DEFAULT '';
