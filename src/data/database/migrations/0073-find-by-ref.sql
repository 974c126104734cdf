-- What stands in the index is found by its reference without reading all of it. Looking is by the words alone.
CREATE VIRTUAL TABLE find_anew USING fts5(words, kind UNINDEXED, ref, title UNINDEXED, tokenize = "unicode61 remove_diacritics 2", prefix = '2 3');
INSERT INTO find_anew (words, kind, ref, title) SELECT words, kind, ref, title FROM find;
DROP TABLE find;
ALTER TABLE find_anew RENAME TO find;
