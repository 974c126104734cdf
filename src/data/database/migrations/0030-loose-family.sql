-- A reel without a drawing still has a family: which of its usual pieces a part is, on which side it sat, and what was taken in one press.
ALTER TABLE loose_part ADD COLUMN seat TEXT;
ALTER TABLE loose_part ADD COLUMN side TEXT CHECK (side IN ('handle', 'tail', 'frame'));
ALTER TABLE loose_part ADD COLUMN act INTEGER NOT NULL DEFAULT 0;
-- It stayed in and was served where it sits: why.
ALTER TABLE loose_part ADD COLUMN in_place TEXT CHECK (length(in_place) <= 160);
