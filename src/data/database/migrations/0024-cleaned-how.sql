-- How a part of this job is cleaned when not as the rest, and how it was.
ALTER TABLE tray_well ADD COLUMN clean_as TEXT;
ALTER TABLE tray_well ADD COLUMN cleaned_how TEXT;
