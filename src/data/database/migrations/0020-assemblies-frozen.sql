-- What a used version holds never changes: its assemblies neither, and nothing is moved into it from another version.
CREATE TRIGGER assembly_frozen_update BEFORE UPDATE ON assembly
WHEN (SELECT max(used) FROM model_version WHERE id IN (OLD.model_version_id, NEW.model_version_id)) = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
CREATE TRIGGER assembly_frozen_delete BEFORE DELETE ON assembly
WHEN (SELECT used FROM model_version WHERE id = OLD.model_version_id) = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
CREATE TRIGGER position_frozen_move BEFORE UPDATE OF model_version_id ON position
WHEN (SELECT used FROM model_version WHERE id = NEW.model_version_id) = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
CREATE TRIGGER operation_frozen_move BEFORE UPDATE OF model_version_id ON operation
WHEN (SELECT used FROM model_version WHERE id = NEW.model_version_id) = 1 BEGIN SELECT RAISE(ABORT, 'model-version-used'); END;
