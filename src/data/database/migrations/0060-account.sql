-- What the customer asked, answered in the technician's words; and what we did wrong ourselves, in plain words.
ALTER TABLE job ADD COLUMN answer TEXT NOT NULL DEFAULT '' CHECK (length(answer) <= 2000);
ALTER TABLE job ADD COLUMN our_mistake TEXT NOT NULL DEFAULT '' CHECK (length(our_mistake) <= 1000);
-- A note at a well is the bench's own unless somebody says that the owner reads it. What was printed until now stays so.
ALTER TABLE tray_well ADD COLUMN for_owner INTEGER NOT NULL DEFAULT 0 CHECK (for_owner IN (0, 1));
UPDATE tray_well SET for_owner = 1 WHERE note <> '';
-- Pictures that go on the owner's report, chosen at the bench: of the reel as it came, or of a joint.
CREATE TABLE report_photo (
  job_id INTEGER NOT NULL REFERENCES job(id),
  photo_hash TEXT NOT NULL REFERENCES photo(hash),
  at TEXT NOT NULL,
  PRIMARY KEY (job_id, photo_hash)
) STRICT, WITHOUT ROWID;
-- A fault that was put right without a part of it coming off: somebody's word.
ALTER TABLE job_fault ADD COLUMN put_right INTEGER NOT NULL DEFAULT 0 CHECK (put_right IN (0, 1));
-- A test that is bad after the work, with which the reel goes all the same.
CREATE TABLE goes_as_it_is (
  job_id INTEGER NOT NULL REFERENCES job(id),
  test_id TEXT NOT NULL,
  reason TEXT NOT NULL CHECK (reason IN ('owner-knows', 'no-part', 'not-better', 'other-work', 'sent-on')),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  PRIMARY KEY (job_id, test_id)
) STRICT;
-- It was apart already when the reel came: a value, and no longer words in its note.
ALTER TABLE tray_well ADD COLUMN came_apart INTEGER NOT NULL DEFAULT 0 CHECK (came_apart IN (0, 1));
UPDATE tray_well SET came_apart = 1, note = '', for_owner = 0 WHERE note = 'came in pieces';
-- The report as it went home with the reel: what is printed later says the same.
CREATE TABLE kept_report (
  job_id INTEGER PRIMARY KEY REFERENCES job(id),
  report TEXT NOT NULL CHECK (json_valid(report))
) STRICT;
-- What came off without a drawing and has its seat by now: a later half joins the same schematic.
ALTER TABLE loose_part ADD COLUMN seated INTEGER NOT NULL DEFAULT 0 CHECK (seated IN (0, 1));
UPDATE loose_part SET seated = 1
WHERE job_id IN (SELECT job.id FROM job JOIN position ON position.model_version_id = job.model_version_id);
-- A reel that came or went by parcel: with whom, under which number, at which value.
CREATE TABLE parcel (
  job_id INTEGER NOT NULL REFERENCES job(id),
  way TEXT NOT NULL CHECK (way IN ('in', 'out')),
  carrier TEXT NOT NULL CHECK (length(trim(carrier)) BETWEEN 1 AND 60),
  number TEXT NOT NULL CHECK (length(number) <= 60),
  value_minor INTEGER CHECK (value_minor >= 0),
  on_day TEXT NOT NULL,
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  PRIMARY KEY (job_id, way)
) STRICT, WITHOUT ROWID;
-- The takings of a day as they were counted when it was closed; what comes in after that is told apart.
CREATE TABLE takings (
  day TEXT PRIMARY KEY,
  sums TEXT NOT NULL CHECK (json_valid(sums)),
  last_payment INTEGER NOT NULL,
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id)
) STRICT, WITHOUT ROWID;
