-- Two cards of one person: the one that went, and the one that stands for both.
ALTER TABLE customer ADD COLUMN merged_into INTEGER REFERENCES customer(id);
CREATE INDEX customer_merged ON customer(merged_into) WHERE merged_into IS NOT NULL;
