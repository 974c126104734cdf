-- Assemblies that are put together in the hand and fitted as one.
ALTER TABLE assembly ADD COLUMN beside INTEGER NOT NULL DEFAULT 0 CHECK (beside IN (0, 1));
