-- Why a part was to stay out when it was fitted after all: an undo of its fitting brings the reason back.
ALTER TABLE build_step ADD COLUMN was_out TEXT;
