-- The newest answer to a test when a step was done: an answer up to it is of the reel as it was before that step. By number, for clocks can be set
-- back. Steps of before this migration take nothing back.
ALTER TABLE build_step ADD COLUMN after_answer INTEGER NOT NULL DEFAULT 0;
