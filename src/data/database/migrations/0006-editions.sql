-- A number sold under a new one, a hazard, a part that leaves by itself.
ALTER TABLE part_type ADD COLUMN superseded_by TEXT;
ALTER TABLE part_type ADD COLUMN hazard TEXT CHECK (length(hazard) <= 200);
ALTER TABLE part_type ADD COLUMN flies INTEGER CHECK (flies IN (0, 1));

-- How a model was built over the years, and which teeth mesh at what distance: part of the version, frozen with it.
ALTER TABLE model_version ADD COLUMN editions TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(editions));
ALTER TABLE model_version ADD COLUMN gear_pairs TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(gear_pairs));

-- What somebody saw on this very reel; without it the serial tells, or the first edition is assumed.
ALTER TABLE reel ADD COLUMN edition_id TEXT;
-- A reel that gave its parts: no job opens on it any more.
ALTER TABLE reel ADD COLUMN scrapped_at TEXT;

-- How a maker wrote its serials, first fitting rule first; a rule for one model stands before those for all.
CREATE TABLE serial_rule (
  id INTEGER PRIMARY KEY,
  maker TEXT NOT NULL,
  model_id TEXT REFERENCES model(id),
  ordinal INTEGER NOT NULL,
  rule TEXT NOT NULL CHECK (json_valid(rule))
) STRICT;
CREATE INDEX serial_rule_by_maker ON serial_rule(maker, ordinal);

-- The edition a job worked on, pinned like its version: a rule that is changed later does not change what was done.
ALTER TABLE job ADD COLUMN edition_id TEXT;
