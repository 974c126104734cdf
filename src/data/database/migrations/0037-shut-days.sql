-- Days the shop is shut beside those of its week: holidays, a fair.
CREATE TABLE shut_days (
  id INTEGER PRIMARY KEY,
  from_day TEXT NOT NULL CHECK (from_day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  to_day TEXT NOT NULL CHECK (to_day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  words TEXT NOT NULL CHECK (length(words) BETWEEN 1 AND 60),
  removed_at TEXT,
  CHECK (from_day <= to_day)
) STRICT;
