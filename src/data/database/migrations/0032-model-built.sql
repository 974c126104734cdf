-- How a model that began from its family is built: the letters of its part numbers and the choice in each variant, as JSON.
ALTER TABLE model ADD COLUMN built TEXT;
