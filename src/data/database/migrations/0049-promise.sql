-- What was said when a reel came: its day in so many days ahead for each chance that is kept, so that it can be told how often such days held.
CREATE TABLE promise_said (
  job_id INTEGER PRIMARY KEY REFERENCES job(id),
  on_day TEXT NOT NULL CHECK (on_day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  days TEXT NOT NULL CHECK (json_valid(days)),
  -- The day that was named for the shop's chance, and the middle of what jobs had taken by then.
  named INTEGER NOT NULL CHECK (named >= 0),
  middle_of_all INTEGER NOT NULL CHECK (middle_of_all >= 0),
  -- Said when it came, or reckoned afterwards by what was known then.
  afterwards INTEGER NOT NULL CHECK (afterwards IN (0, 1))
) STRICT;
-- When somebody is at the bench, by weekday (1 Monday to 7 Sunday, ISO 8601); nobody without a row has hours of their own.
CREATE TABLE person_hours (
  person_id INTEGER NOT NULL REFERENCES person(id),
  weekday INTEGER NOT NULL CHECK (weekday BETWEEN 1 AND 7),
  minutes INTEGER NOT NULL CHECK (minutes BETWEEN 0 AND 960),
  PRIMARY KEY (person_id, weekday)
) STRICT, WITHOUT ROWID;
CREATE TABLE person_off (
  id INTEGER PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person(id),
  from_day TEXT NOT NULL,
  to_day TEXT NOT NULL CHECK (to_day >= from_day),
  words TEXT NOT NULL DEFAULT '' CHECK (length(words) <= 80),
  removed_at TEXT
) STRICT;
