import { z } from "zod";
import { minutesPassed } from "@/core/day/day";
import { roles } from "@/core/sign-in/permissions";
import { type SessionState, sessionState } from "@/core/sign-in/session-limits";
import { type Context, type Person, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { flag, id, row, rows } from "@/data/database/rows";
import { findPerson } from "@/data/shop/people";
import { hashToken, newToken } from "./tokens";

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

const sessionRow = z.object({
  id,
  over: z.enum(["loopback", "network"]),
  address: z.string(),
  device: z.string(),
  begunAt: z.string(),
  seenAt: z.string(),
  personId: id,
  name: z.string(),
  role: z.enum(roles),
});

/** Begins a session: whoever calls has seen that this person may. */
export function beginSession(db: Db, personId: number, from: From, now: string): { token: string; sessionId: number } {
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

/** The session of a token, and where it is; null for a token nobody was given. */
export function findSession(db: Db, token: string, now: string): { session: Session; state: SessionState } | null {
  const found = db
    .prepare(
      `SELECT session.id, session.over, address, device, begun_at AS begunAt, seen_at AS seenAt, ended_at AS endedAt,
              person.id AS personId, person.name, person.role, person.active
       FROM session JOIN person ON person.id = session.person_id WHERE token_hash = ?`,
    )
    .get(hashToken(token));
  const kept = row(sessionRow.extend({ endedAt: z.string().nullable(), active: flag }), found);
  if (!kept) return null;
  const { personId, name, role, active, endedAt, ...rest } = kept;
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
  rows(
    sessionRow,
    db
      .prepare(
        `SELECT session.id, session.over, address, device, begun_at AS begunAt, seen_at AS seenAt, person.id AS personId, person.name, person.role
         FROM session JOIN person ON person.id = session.person_id
         WHERE ended_at IS NULL AND (@of IS NULL OR person_id = @of) ORDER BY seen_at DESC`,
      )
      .all({ of: of ?? null }),
  )
    .map(({ personId, name, role, ...rest }) => ({ ...rest, person: { id: personId, name, role } }))
    .filter((session) => sessionState({ ...session, endedAt: null }, now) !== "over");

/** Ends a session: an owner any, everybody their own. */
export function endSession(ctx: Context, sessionId: number): void {
  const personId = row(id, ctx.db.prepare("SELECT person_id FROM session WHERE id = ? AND ended_at IS NULL").pluck().get(sessionId));
  if (personId === null) return;
  if (personId !== ctx.person.id && ctx.person.role !== "owner")
    throw new Refusal("not-yours", "Only an owner can end somebody else's session.");
  ctx.db.prepare("UPDATE session SET ended_at = ? WHERE id = ?").run(ctx.now, sessionId);
  writeJournal(ctx, "session-ended", {}, { personId });
}

/** Ends all sessions of a person but one. */
export function endSessions(ctx: Context, personId: number, but: number | null): void {
  ctx.db.prepare("UPDATE session SET ended_at = ? WHERE person_id = ? AND ended_at IS NULL AND id IS NOT ?").run(ctx.now, personId, but);
}

/** Nobody is in any more, and no invitation holds: everybody signs in anew. */
export function endEverySession(db: Db, now: string): void {
  db.prepare("UPDATE session SET ended_at = ? WHERE ended_at IS NULL").run(now);
  db.prepare("DELETE FROM invitation").run();
}

export const noteSessionSeen = (db: Db, sessionId: number, now: string): void => {
  db.prepare("UPDATE session SET seen_at = ? WHERE id = ?").run(now, sessionId);
};
