-- What becomes of a fault that is not put right here: declined, watched, sent on, or done by the customer at home. Null: put right here.
ALTER TABLE job_fault ADD COLUMN outcome TEXT CHECK (outcome IN ('declined', 'watch', 'sent-on', 'own'));
