import { hashSync, verifySync } from "@node-rs/argon2";
import { z } from "zod";
import { passphraseFault, pinFault } from "@/core/sign-in/secrets";
import { waitLeft } from "@/core/sign-in/slow-down";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { flag, row } from "@/data/database/rows";
import { findPerson, type SecretKind, secretHash, writeSecretHash } from "@/data/shop/people";
import { getShopSettings } from "@/data/shop/settings";
import { failedTries, forgetFailures } from "./failed-tries";
import { forgetDevices } from "./known-devices";
import { endSessions } from "./sessions";
import { newToken } from "./tokens";

/** Passphrases and PINs: whether one is right, how long whoever guesses has to wait, and how one is set. */

/** Argon2id with 19 MiB, two passes, one lane: the first choice of OWASP's password storage cheat sheet (from memory). */
const cost = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export interface Secrets {
  readonly passphrase: boolean;
  readonly pin: boolean;
}
export const secretsOf = (db: Db, personId: number): Secrets => {
  const kept = row(
    z.object({ passphrase: flag, pin: flag }),
    db.prepare("SELECT passphrase_hash IS NOT NULL AS passphrase, pin_hash IS NOT NULL AS pin FROM person WHERE id = ?").get(personId),
  );
  return kept ?? { passphrase: false, pin: false };
};

/** What is compared when there is nothing to compare with, so that the answer takes as long. */
let nothing = "";
export function isSecret(db: Db, personId: number, kind: SecretKind, text: string): boolean {
  nothing ||= hashSync(newToken(), cost);
  const kept = secretHash(db, personId, kind);
  return verifySync(kept ?? nothing, text.normalize("NFC")) && kept !== null;
}

/** A secret that was not the one: to be counted after whatever was begun is rolled back. */
export class WrongSecret extends Refusal {
  constructor(
    readonly counted: readonly string[],
    message: string,
    field: string,
  ) {
    super("wrong-secret", message, field);
  }
}

/** Longest time still to wait for any of these, seconds. */
export function mustWait(db: Db, of: readonly string[], now: string): number {
  return Math.max(
    0,
    ...of.map((one) => {
      const row = failedTries(db, one);
      return row ? waitLeft(row.failures, row.lastAt, now) : 0;
    }),
  );
}

/** @throws Refusal with the time left, while somebody who tried too often has to wait. */
export function refuseWhileSlow({ db, now }: Pick<Context, "db" | "now">, of: readonly string[]): void {
  const seconds = mustWait(db, of, now);
  if (seconds > 0)
    throw new Refusal(
      "slow",
      `Too many tries. Wait ${seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`}, then try again. The shop's own computer can add this device with a code: Shop, Devices.`,
      "secret",
    );
}

/**
 * Sets a passphrase or a PIN; an empty one takes it away. Whoever changes their own says the old one first; an owner sets anybody's. Every session
 * of that person but the one that asks ends with it.
 * @throws Refusal at the field.
 */
export function setSecret(ctx: Context, personId: number, kind: SecretKind, { now: text, before }: { now: string; before: string }): void {
  const person = findPerson(ctx.db, personId);
  if (!person) throw new Refusal("no-person", "This person no longer works here. Reload the page.");
  const own = personId === ctx.person.id;
  if (!own && ctx.person.role !== "owner") throw new Refusal("not-yours", "Only an owner can set somebody else's.", kind);
  if (own && secretHash(ctx.db, personId, kind) !== null) {
    const counted = [`person ${personId} changes`];
    refuseWhileSlow(ctx, counted);
    if (!isSecret(ctx.db, personId, kind, before))
      throw new WrongSecret(counted, kind === "pin" ? "That was not the old PIN." : "That was not the old passphrase.", "before");
  }
  if (text === "" && kind === "passphrase" && own && ctx.session?.over === "network")
    throw new Refusal("needed", "You signed in with it; without one this device could not sign in again. Enter a new one.", "now");
  const fault =
    text === "" ? null : kind === "pin" ? pinFault(text) : passphraseFault(text, [getShopSettings(ctx.db).shopName, person.name]);
  if (fault) throw new Refusal("weak", fault, "now");
  writeSecretHash(ctx.db, personId, kind, text === "" ? null : hashSync(text.normalize("NFC"), cost));
  endSessions(ctx, personId, ctx.session?.id ?? null);
  forgetDevices(ctx.db, personId);
  forgetFailures(ctx.db, [`person ${personId} changes`]);
  writeJournal(ctx, "secret-set", {}, { personId, kind, set: text !== "" });
}
