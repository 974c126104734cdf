-- Reels whose owner was asked to bring them before the season: once for each visit that counts.
CREATE TABLE season_invitation (
  id INTEGER PRIMARY KEY,
  reel_id INTEGER NOT NULL REFERENCES reel(id),
  after_job_id INTEGER NOT NULL REFERENCES job(id),
  week TEXT NOT NULL CHECK (week GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  due_on TEXT NOT NULL,
  at TEXT NOT NULL,
  UNIQUE (reel_id, after_job_id)
) STRICT;
CREATE INDEX season_invitation_at ON season_invitation(at);
