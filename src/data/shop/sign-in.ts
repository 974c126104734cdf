import { createHash, randomBytes } from "node:crypto";
import { hashSync, verifySync } from "@node-rs/argon2";
import { addMinutes, minutesPassed } from "@/core/day/day";
import { passphraseFault, pinFault } from "@/core/sign-in/secrets";
import { invitationMinutes, type SessionState, sessionState } from "@/core/sign-in/session-limits";
import { waitLeft } from "@/core/sign-in/slow-down";
import { type Context, type Person, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { findPerson } from "@/data/shop/people";
import { getShopSettings } from "@/data/shop/settings";

/** Argon2id with 19 MiB, two passes, one lane: the first choice of OWASP's password storage cheat sheet (from memory). */
const cost = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;
const hashToken = (token: string) => createHash("sha256").update(token).digest("hex");
/** 256 bits from the system's own source. */
const newToken = () => randomBytes(32).toString("base64url");

/** Where a request came from, as its socket says. */
export interface From {
  readonly over: "loopback" | "network";
  readonly address: string;
  /** What the browser calls itself, short. */
  readonly device: string;
}

export interface Session {
  readonly id: number;
  readonly person: Person;
  readonly over: From["over"];
  readonly address: string;
  readonly device: string;
  readonly begunAt: string;
  readonly seenAt: string;
}

export interface Secrets {
  readonly passphrase: boolean;
  readonly pin: boolean;
}
export const secretsOf = (db: Db, personId: number): Secrets => {
  const row = db
    .prepare("SELECT passphrase_hash IS NOT NULL AS passphrase, pin_hash IS NOT NULL AS pin FROM person WHERE id = ?")
    .get(personId) as { passphrase: 0 | 1; pin: 0 | 1 } | undefined;
  return { passphrase: row?.passphrase === 1, pin: row?.pin === 1 };
};

type Kind = "passphrase" | "pin";
const columnOf = { passphrase: "passphrase_hash", pin: "pin_hash" } as const;

function hashOf(db: Db, personId: number, kind: Kind): string | null {
  return (db.prepare(`SELECT ${columnOf[kind]} FROM person WHERE id = ?`).pluck().get(personId) as string | null | undefined) ?? null;
}

/** What is compared when there is nothing to compare with, so that the answer takes as long. */
let nothing = "";
function isSecret(db: Db, personId: number, kind: Kind, text: string): boolean {
  nothing ||= hashSync(newToken(), cost);
  const kept = hashOf(db, personId, kind);
  return verifySync(kept ?? nothing, text.normalize("NFC")) && kept !== null;
}

/**
 * Sets a passphrase or a PIN; an empty one takes it away. Whoever changes their own says the old one first; an owner sets anybody's. Every session
 * of that person but the one that asks ends with it.
 * @throws Refusal at the field.
 */
export function setSecret(ctx: Context, personId: number, kind: Kind, { now: text, before }: { now: string; before: string }): void {
  const person = findPerson(ctx.db, personId);
  if (!person) throw new Refusal("no-person", "This person does not work here any more. Reload the page.");
  const own = personId === ctx.person.id;
  if (!own && ctx.person.role !== "owner") throw new Refusal("not-yours", "Only an owner sets somebody else's.", kind);
  if (own && hashOf(ctx.db, personId, kind) !== null) {
    const counted = [`person ${personId} changes`];
    refuseWhileSlow(ctx, counted);
    if (!isSecret(ctx.db, personId, kind, before))
      throw new WrongSecret(counted, kind === "pin" ? "That was not the old PIN." : "That was not the old passphrase.", "before");
  }
  if (text === "" && kind === "passphrase" && own && ctx.session?.over === "network")
    throw new Refusal("needed", "You came in with it: without one this device could not come back. Write a new one.", "now");
  const fault =
    text === "" ? null : kind === "pin" ? pinFault(text) : passphraseFault(text, [getShopSettings(ctx.db).shopName, person.name]);
  if (fault) throw new Refusal("weak", fault, "now");
  ctx.db
    .prepare(`UPDATE person SET ${columnOf[kind]} = ? WHERE id = ?`)
    .run(text === "" ? null : hashSync(text.normalize("NFC"), cost), personId);
  endSessions(ctx, personId, ctx.session?.id ?? null);
  ctx.db.prepare("DELETE FROM known_device WHERE person_id = ?").run(personId);
  forgetFailures(ctx.db, [`person ${personId} changes`]);
  writeJournal(ctx, "secret-set", {}, { personId, kind, set: text !== "" });
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

/** Counts a try that failed. Written by itself: a refusal rolls everything else back. */
export function countFailure(db: Db, of: readonly string[], now: string): void {
  for (const one of of)
    db.prepare(
      "INSERT INTO failed_try (of, failures, last_at) VALUES (?, 1, ?) ON CONFLICT DO UPDATE SET failures = failures + 1, last_at = excluded.last_at",
    ).run(one, now);
}

const forgetFailures = (db: Db, of: readonly string[]) => {
  for (const one of of) db.prepare("DELETE FROM failed_try WHERE of = ?").run(one);
};

/** Longest time still to wait for any of these, seconds. */
export function mustWait(db: Db, of: readonly string[], now: string): number {
  return Math.max(
    0,
    ...of.map((one) => {
      const row = db.prepare("SELECT failures, last_at AS lastAt FROM failed_try WHERE of = ?").get(one) as
        | { failures: number; lastAt: string }
        | undefined;
      return row ? waitLeft(row.failures, row.lastAt, now) : 0;
    }),
  );
}

function refuseWhileSlow({ db, now }: Pick<Context, "db" | "now">, of: readonly string[]): void {
  const seconds = mustWait(db, of, now);
  if (seconds > 0)
    throw new Refusal(
      "slow",
      `Too many tries. Wait ${seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`}, then try again. The shop's own computer can bring this device in by a code: Shop, Devices.`,
      "secret",
    );
}

function begin(db: Db, personId: number, from: From, now: string): { token: string; sessionId: number } {
  const token = newToken();
  const sessionId = Number(
    db
      .prepare("INSERT INTO session (token_hash, person_id, over, address, device, begun_at, seen_at) VALUES (?, ?, ?, ?, ?, ?, ?)")
      .run(hashToken(token), personId, from.over, from.address, from.device, now, now).lastInsertRowid,
  );
  const ctx: Context = { db, now, person: findPerson(db, personId)!, session: { id: sessionId, over: from.over } };
  writeJournal(ctx, "signed-in", {}, { over: from.over });
  return { token, sessionId };
}

/** Whether a person came in from a device before, by the token it was given then. */
const isKnownDevice = (db: Db, personId: number, device: string): boolean =>
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
  const row = db.prepare("SELECT id FROM person WHERE name = ? COLLATE NOCASE AND active = 1").get(said.name.trim()) as
    | { id: number }
    | undefined;
  // A name nobody has is slowed down as well, so that it tells nothing.
  const named = row?.id ?? createHash("sha256").update(said.name.trim().toLowerCase()).digest("hex").slice(0, 16);
  const counted =
    row && isKnownDevice(db, row.id, device)
      ? [`device ${hashToken(device).slice(0, 40)}`]
      : [`person ${named} from ${from.address}`.slice(0, 80), `from ${from.address}`];
  refuseWhileSlow({ db, now }, counted);
  if (!isSecret(db, row?.id ?? 0, "passphrase", said.passphrase))
    throw new WrongSecret(
      counted,
      "Name and passphrase do not belong together. Nobody has a passphrase until an owner or they themselves set it at Shop.",
      "secret",
    );
  forgetFailures(db, counted);
  return { token: begin(db, row!.id, from, now).token, personId: row!.id };
}

/** Chooses who is at the bench on the machine itself: by PIN where that person has one. @returns the token of a new session. */
export function choosePersonHere(db: Db, said: { readonly personId: number; readonly pin: string }, from: From, now: string): string {
  const person = findPerson(db, said.personId);
  if (!person) throw new Refusal("no-person", "This person does not work here any more. Reload the page.");
  if (secretsOf(db, person.id).pin) {
    // Counted for itself: whoever tries from another device holds nobody up at the bench.
    const counted = [`person ${person.id} here`];
    refuseWhileSlow({ db, now }, counted);
    if (!isSecret(db, person.id, "pin", said.pin)) throw new WrongSecret(counted, `That is not ${person.name}'s PIN.`, "secret");
    forgetFailures(db, counted);
  }
  return begin(db, person.id, from, now).token;
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
  db.prepare("UPDATE session SET seen_at = ? WHERE id = ?").run(now, id);
}

/** The session of a token, and where it is; null for a token nobody was given. */
export function findSession(db: Db, token: string, now: string): { session: Session; state: SessionState } | null {
  const row = db
    .prepare(
      `SELECT session.id, session.over, address, device, begun_at AS begunAt, seen_at AS seenAt, ended_at AS endedAt,
              person.id AS personId, person.name, person.role, person.active
       FROM session JOIN person ON person.id = session.person_id WHERE token_hash = ?`,
    )
    .get(hashToken(token)) as
    | (Omit<Session, "person"> & { endedAt: string | null; personId: number; name: string; role: Person["role"]; active: 0 | 1 })
    | undefined;
  if (!row) return null;
  const { personId, name, role, active, endedAt, ...rest } = row;
  return {
    session: { ...rest, person: { id: personId, name, role } },
    state: active ? sessionState({ ...rest, endedAt }, now) : "over",
  };
}

/** Notes that a session is at work, at most once a minute. */
export function touchSession(db: Db, session: Session, now: string): void {
  if (Math.abs(minutesPassed(session.seenAt, now)) < 1) return;
  db.prepare("UPDATE session SET seen_at = ? WHERE id = ? AND ended_at IS NULL").run(now, session.id);
}

/** Sessions that are not over, the one seen last first. @param of one person's; all without it. */
export const listSessions = (db: Db, now: string, of?: number): Session[] =>
  (
    db
      .prepare(
        `SELECT session.id, session.over, address, device, begun_at AS begunAt, seen_at AS seenAt, person.id AS personId, person.name, person.role
         FROM session JOIN person ON person.id = session.person_id
         WHERE ended_at IS NULL AND (@of IS NULL OR person_id = @of) ORDER BY seen_at DESC`,
      )
      .all({ of: of ?? null }) as (Omit<Session, "person"> & { personId: number; name: string; role: Person["role"] })[]
  )
    .map(({ personId, name, role, ...rest }) => ({ ...rest, person: { id: personId, name, role } }))
    .filter((session) => sessionState({ ...session, endedAt: null }, now) !== "over");

/** Ends a session: an owner any, everybody their own. */
export function endSession(ctx: Context, id: number): void {
  const row = ctx.db.prepare("SELECT person_id AS personId FROM session WHERE id = ? AND ended_at IS NULL").get(id) as
    | { personId: number }
    | undefined;
  if (!row) return;
  if (row.personId !== ctx.person.id && ctx.person.role !== "owner")
    throw new Refusal("not-yours", "Only an owner ends somebody else's session.");
  ctx.db.prepare("UPDATE session SET ended_at = ? WHERE id = ?").run(ctx.now, id);
  writeJournal(ctx, "session-ended", {}, { personId: row.personId });
}

/** Ends all sessions of a person but one. */
function endSessions(ctx: Context, personId: number, but: number | null): void {
  ctx.db.prepare("UPDATE session SET ended_at = ? WHERE person_id = ? AND ended_at IS NULL AND id IS NOT ?").run(ctx.now, personId, but);
}

/** Invites a phone in as a person: one use, ten minutes. @returns the token that stands in the address, and until when it holds. */
export function invite(ctx: Context, personId: number): { token: string; until: string } {
  if (!findPerson(ctx.db, personId)) throw new Refusal("no-person", "This person does not work here any more. Reload the page.");
  if (personId !== ctx.person.id && ctx.person.role !== "owner")
    throw new Refusal("not-yours", "Only an owner brings somebody else's phone in.");
  const token = newToken();
  const until = addMinutes(ctx.now, invitationMinutes);
  ctx.db.prepare("DELETE FROM invitation WHERE until < ? OR person_id = ?").run(ctx.now, personId);
  ctx.db.prepare("INSERT INTO invitation (token_hash, person_id, until) VALUES (?, ?, ?)").run(hashToken(token), personId, until);
  writeJournal(ctx, "phone-invited", {}, { personId });
  return { token, until };
}

const invitationOf = (db: Db, token: string) =>
  db.prepare("SELECT person_id AS personId, until, used_at AS usedAt FROM invitation WHERE token_hash = ?").get(hashToken(token)) as
    | { personId: number; until: string; usedAt: string | null }
    | undefined;

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
    throw new WrongSecret(counted, "This invitation was used, or is more than ten minutes old. Make a new one at Shop.", "secret");
  db.prepare("UPDATE invitation SET used_at = ? WHERE token_hash = ?").run(now, hashToken(token));
  return begin(db, person.id, from, now).token;
}
