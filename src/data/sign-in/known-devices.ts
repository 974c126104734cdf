import type { Db } from "@/data/database/database";
import { hashToken, newToken } from "./tokens";

/** Whether a person came in from a device before, by the token it was given then. */
export const isKnownDevice = (db: Db, personId: number, device: string): boolean =>
  device !== "" &&
  db.prepare("SELECT 1 FROM known_device WHERE token_hash = ? AND person_id = ?").get(hashToken(device), personId) !== undefined;

/** Most devices that are remembered of a person; the oldest is forgotten. */
const devicesKept = 20;

/** Remembers a device from which somebody has just come in. @returns the token it keeps. */
export function rememberDevice(db: Db, personId: number, now: string): string {
  const token = newToken();
  db.prepare("INSERT INTO known_device (token_hash, person_id, since) VALUES (?, ?, ?)").run(hashToken(token), personId, now);
  db.prepare(
    `DELETE FROM known_device WHERE person_id = @person AND token_hash NOT IN
     (SELECT token_hash FROM known_device WHERE person_id = @person ORDER BY since DESC, token_hash LIMIT @kept)`,
  ).run({ person: personId, kept: devicesKept });
  return token;
}

/** None of a person's devices is known any more. */
export const forgetDevices = (db: Db, personId: number): void => {
  db.prepare("DELETE FROM known_device WHERE person_id = ?").run(personId);
};
