import { z } from "zod";
import { addMinutes } from "@/core/day/day";
import { invitationMinutes } from "@/core/sign-in/session-limits";
import { type Context, type Person, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { id, row } from "@/data/database/rows";
import { findPerson } from "@/data/shop/people";
import { refuseWhileSlow, WrongSecret } from "./secrets";
import { beginSession, type From } from "./sessions";
import { hashToken, newToken } from "./tokens";

/** Invites a phone in as a person: one use, ten minutes. @returns the token that stands in the address, and until when it holds. */
export function invite(ctx: Context, personId: number): { token: string; until: string } {
  if (!findPerson(ctx.db, personId)) throw new Refusal("no-person", "This person no longer works here. Reload the page.");
  if (personId !== ctx.person.id && ctx.person.role !== "owner")
    throw new Refusal("not-yours", "Only an owner can add somebody else's phone.");
  const token = newToken();
  const until = addMinutes(ctx.now, invitationMinutes);
  ctx.db.prepare("DELETE FROM invitation WHERE until < ? OR person_id = ?").run(ctx.now, personId);
  ctx.db.prepare("INSERT INTO invitation (token_hash, person_id, until) VALUES (?, ?, ?)").run(hashToken(token), personId, until);
  writeJournal(ctx, "phone-invited", {}, { personId });
  return { token, until };
}

const invitationOf = (db: Db, token: string) =>
  row(
    z.object({ personId: id, until: z.string(), usedAt: z.string().nullable() }),
    db.prepare("SELECT person_id AS personId, until, used_at AS usedAt FROM invitation WHERE token_hash = ?").get(hashToken(token)),
  );

/** Whose phone an invitation brings in; null where it is used, over or was never given. */
export function invitedPerson(db: Db, token: string, now: string): Person | null {
  const found = invitationOf(db, token);
  return found && found.usedAt === null && now <= found.until ? findPerson(db, found.personId) : null;
}

/** Takes an invitation up. @returns the token of a new session. @throws Refusal when it was used or is over. */
export function acceptInvitation(db: Db, token: string, from: From, now: string): string {
  const counted = [`from ${from.address}`];
  const person = invitedPerson(db, token, now);
  // A code that holds was drawn at the shop's own computer: nobody's tries keep it out, and nobody guesses 256 bits.
  if (!person) refuseWhileSlow({ db, now }, counted);
  if (!person)
    throw new WrongSecret(counted, "This invitation has been used or is more than ten minutes old. Make a new one at Shop.", "secret");
  db.prepare("UPDATE invitation SET used_at = ? WHERE token_hash = ?").run(now, hashToken(token));
  return beginSession(db, person.id, from, now).token;
}
