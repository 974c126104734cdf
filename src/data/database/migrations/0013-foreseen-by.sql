-- Which fault foresaw a part; null where somebody chose it. A withdrawn fault takes its own parts out of the estimate again, and no other.
ALTER TABLE quote_part ADD COLUMN foreseen_by TEXT;
