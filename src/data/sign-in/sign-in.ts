import { createHash } from "node:crypto";
import { Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { id, row } from "@/data/database/rows";
import { findPerson } from "@/data/shop/people";
import { forgetFailures } from "./failed-tries";
import { isKnownDevice } from "./known-devices";
import { isSecret, refuseWhileSlow, secretsOf, WrongSecret } from "./secrets";
import { beginSession, type From, findSession, noteSessionSeen } from "./sessions";
import { hashToken } from "./tokens";

/**
 * Lets a person in by passphrase, from wherever it is. Tries that fail slow down who made them, name and address together, and nobody else: the
 * name's owner comes in from another address, from a device known from before, or by a code at the shop's own computer.
 * @param device the token of a device from before; empty for none.
 * @returns the token of a new session, known to nobody else. @throws Refusal in the same words whether the name, the passphrase or both were wrong.
 */
export function signIn(
  db: Db,
  said: { readonly name: string; readonly passphrase: string },
  from: From,
  now: string,
  device = "",
): { readonly token: string; readonly personId: number } {
  const personId = row(id, db.prepare("SELECT id FROM person WHERE name = ? COLLATE NOCASE AND active = 1").pluck().get(said.name.trim()));
  // A name nobody has is slowed down as well, so that it tells nothing.
  const named = personId ?? createHash("sha256").update(said.name.trim().toLowerCase()).digest("hex").slice(0, 16);
  const counted =
    personId !== null && isKnownDevice(db, personId, device)
      ? [`device ${hashToken(device).slice(0, 40)}`]
      : [`person ${named} from ${from.address}`.slice(0, 80), `from ${from.address}`];
  refuseWhileSlow({ db, now }, counted);
  if (!isSecret(db, personId ?? 0, "passphrase", said.passphrase))
    throw new WrongSecret(
      counted,
      "Name and passphrase do not match. A passphrase has to be set at Shop first, by an owner or the person.",
      "secret",
    );
  forgetFailures(db, counted);
  return { token: beginSession(db, personId!, from, now).token, personId: personId! };
}

/** Chooses who is at the bench on the machine itself: by PIN where that person has one. @returns the token of a new session. */
export function choosePersonHere(db: Db, said: { readonly personId: number; readonly pin: string }, from: From, now: string): string {
  const person = findPerson(db, said.personId);
  if (!person) throw new Refusal("no-person", "This person no longer works here. Reload the page.");
  if (secretsOf(db, person.id).pin) {
    // Counted for itself: whoever tries from another device holds nobody up at the bench.
    const counted = [`person ${person.id} here`];
    refuseWhileSlow({ db, now }, counted);
    if (!isSecret(db, person.id, "pin", said.pin)) throw new WrongSecret(counted, `That is not ${person.name}'s PIN.`, "secret");
    forgetFailures(db, counted);
  }
  return beginSession(db, person.id, from, now).token;
}

/** Wakes a session that rests, by its person's PIN or passphrase. Tries that fail are slowed down. */
export function wakeSession(db: Db, token: string, secret: string, now: string): void {
  const found = findSession(db, token, now);
  if (!found || found.state === "over") throw new Refusal("over", "This session is over. Sign in again.", null);
  const { person, id } = found.session;
  const counted = [`session ${id}`];
  refuseWhileSlow({ db, now }, counted);
  if (!isSecret(db, person.id, "pin", secret) && !isSecret(db, person.id, "passphrase", secret))
    throw new WrongSecret(counted, "That is neither your PIN nor your passphrase.", "secret");
  forgetFailures(db, counted);
  noteSessionSeen(db, id, now);
}
