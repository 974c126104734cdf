-- What a shop of ten years asks for on every page, answered without reading all of it.
-- How often each seat of a model was in the tray, and found worn or to be replaced: kept up by the tray itself.
CREATE TABLE seat_wear (
  model_id TEXT NOT NULL REFERENCES model(id),
  position_id TEXT NOT NULL,
  seen INTEGER NOT NULL,
  worn INTEGER NOT NULL,
  PRIMARY KEY (model_id, position_id)
) STRICT, WITHOUT ROWID;
INSERT INTO seat_wear (model_id, position_id, seen, worn)
SELECT model_version.model_id, tray_well.position_id, count(*), sum(tray_well.verdict IN ('worn', 'replace'))
FROM tray_well JOIN job ON job.id = tray_well.job_id JOIN model_version ON model_version.id = job.model_version_id
GROUP BY model_version.model_id, tray_well.position_id;
CREATE TRIGGER seat_wear_in AFTER INSERT ON tray_well BEGIN
  INSERT INTO seat_wear (model_id, position_id, seen, worn)
  SELECT model_id, NEW.position_id, 1, NEW.verdict IN ('worn', 'replace') FROM model_version
  WHERE id = (SELECT model_version_id FROM job WHERE id = NEW.job_id)
  ON CONFLICT DO UPDATE SET seen = seen + 1, worn = worn + excluded.worn;
END;
CREATE TRIGGER seat_wear_out AFTER DELETE ON tray_well BEGIN
  UPDATE seat_wear SET seen = seen - 1, worn = worn - (OLD.verdict IN ('worn', 'replace'))
  WHERE position_id = OLD.position_id
    AND model_id = (SELECT model_id FROM model_version WHERE id = (SELECT model_version_id FROM job WHERE id = OLD.job_id));
END;
CREATE TRIGGER seat_wear_changed AFTER UPDATE OF verdict ON tray_well WHEN (OLD.verdict IN ('worn', 'replace')) <> (NEW.verdict IN ('worn', 'replace')) BEGIN
  UPDATE seat_wear SET worn = worn + (NEW.verdict IN ('worn', 'replace')) - (OLD.verdict IN ('worn', 'replace'))
  WHERE position_id = NEW.position_id
    AND model_id = (SELECT model_id FROM model_version WHERE id = (SELECT model_version_id FROM job WHERE id = NEW.job_id));
END;

CREATE INDEX observation_after ON observation(id) WHERE phase = 'after';
CREATE INDEX job_closed ON job(closed_at) WHERE closed_at IS NOT NULL;
-- A serial by itself, whatever the model.
CREATE INDEX reel_serial ON reel(serial) WHERE serial <> '';
CREATE INDEX order_line_outstanding ON order_line(order_id) WHERE received < quantity;
CREATE INDEX need_of_line ON need(order_line_id) WHERE order_line_id IS NOT NULL;
CREATE INDEX reel_of_model ON reel(model_id, id);
