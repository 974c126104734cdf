-- What came off with a well beyond the drawing, by that well and no longer by what its words say.
ALTER TABLE extra_piece ADD COLUMN well INTEGER;
UPDATE extra_piece SET well = (SELECT tray_well.well FROM tray_well WHERE tray_well.job_id = extra_piece.job_id AND tray_well.taken_at = extra_piece.at LIMIT 1)
WHERE words LIKE '%more than drawn%';
-- How a part lay when it came off: as its model has it, or turned over; nothing where nobody said.
ALTER TABLE tray_well ADD COLUMN lies TEXT CHECK (lies IN ('as-model', 'turned'));
