-- A gate at which a line is drawn under load carries that as a value; until now it was read from its words, and a lever drag's strike lacked it.
-- Versions that a job uses are frozen against people, not against this: nothing of what was done or printed changes.
DROP TRIGGER operation_frozen_update;
UPDATE operation SET act = json_set(act, '$.pullsLine', json('true'))
 WHERE kind = 'gate' AND id IN ('gate-star', 'gate-drag', 'gate-free-spool');
CREATE TRIGGER operation_frozen_update BEFORE UPDATE ON operation
WHEN (SELECT used FROM model_version WHERE id = OLD.model_version_id) = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
