-- What was planned for a seat when a piece from elsewhere was taken for it: taken back, it is planned again.
ALTER TABLE instance ADD COLUMN plan_before TEXT CHECK (plan_before IS NULL OR json_valid(plan_before));
