-- What the owner or the hand at the counter takes a reel for; a question mark at its end says that it is a guess.
ALTER TABLE reel ADD COLUMN made_by TEXT NOT NULL DEFAULT '';
ALTER TABLE reel ADD COLUMN made_when TEXT NOT NULL DEFAULT '';
ALTER TABLE reel ADD COLUMN made_where TEXT NOT NULL DEFAULT '';
-- A serial with a letter that cannot be read tells no reel from its sisters.
DROP INDEX reel_by_serial;
CREATE UNIQUE INDEX reel_by_serial ON reel(model_id, serial) WHERE serial <> '' AND instr(serial, '?') = 0;
