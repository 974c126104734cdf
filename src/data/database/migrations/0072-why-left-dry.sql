-- Why a place that may be oiled got nothing, where somebody said so.
ALTER TABLE oil_point ADD COLUMN why TEXT CHECK (why IS NULL OR left_out = 1);
