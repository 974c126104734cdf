-- How a need ended, so that an undo can give back what was put aside for it: what it was before, why it ended, and the piece that ended it.
ALTER TABLE need ADD COLUMN state_before TEXT CHECK (state_before IN ('open', 'ordered', 'arrived'));
ALTER TABLE need ADD COLUMN ended_why TEXT CHECK (ended_why IN ('fitted', 'let-go', 'declined', 'closed'));
ALTER TABLE need ADD COLUMN ended_by INTEGER REFERENCES instance(id);
-- Needs of jobs that went home keep nothing aside any more.
UPDATE need SET state_before = state, state = 'withdrawn', ended_why = 'closed'
WHERE state IN ('open', 'ordered', 'arrived') AND job_id IN (SELECT id FROM job WHERE closed_at IS NOT NULL);
