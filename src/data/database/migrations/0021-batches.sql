-- Hands take parts off in handfuls. A model says which go together, and of an assembly what rides on what while it is not serviced.
ALTER TABLE model_version ADD COLUMN batches TEXT NOT NULL DEFAULT '[]';
ALTER TABLE assembly ADD COLUMN more TEXT NOT NULL DEFAULT '{}';
DROP TRIGGER assembly_frozen_update;
UPDATE assembly SET more = '{"beside":true}' WHERE beside = 1;
ALTER TABLE assembly DROP COLUMN beside;
CREATE TRIGGER assembly_frozen_update BEFORE UPDATE ON assembly
WHEN (SELECT max(used) FROM model_version WHERE id IN (OLD.model_version_id, NEW.model_version_id)) = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
