import { weekdayOf } from "@/core/schedule/opening";
import { seenWeek } from "@/core/seen/seen";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";
import { findPerson } from "@/data/shop/people";

export interface PersonHours {
  readonly personId: number;
  readonly name: string;
  /** Minutes at the bench, Monday first. */
  readonly minutes: readonly number[];
  readonly off: readonly PersonOff[];
}

export interface PersonOff {
  readonly id: number;
  /** ISO days, first and last included. */
  readonly from: string;
  readonly to: string;
  readonly words: string;
}

/** Who has hours of their own at the bench, with the days they will not be there. @param today days off that are over are left out. */
export function listPersonHours(db: Db, today: string): PersonHours[] {
  const people = db
    .prepare(
      `SELECT person.id AS personId, person.name, weekday, minutes FROM person_hours JOIN person ON person.id = person_hours.person_id
       WHERE person.active = 1 ORDER BY person.id, weekday`,
    )
    .all() as { personId: number; name: string; weekday: number; minutes: number }[];
  const off = db
    .prepare(
      'SELECT id, person_id AS personId, from_day AS "from", to_day AS "to", words FROM person_off WHERE removed_at IS NULL AND to_day >= ? ORDER BY from_day, id',
    )
    .all(today) as (PersonOff & { personId: number })[];
  return [...new Map(people.map(({ personId, name }) => [personId, name]))].map(([personId, name]) => ({
    personId,
    name,
    minutes: Array.from(
      { length: 7 },
      (_, day) => people.find((one) => one.personId === personId && one.weekday === day + 1)?.minutes ?? 0,
    ),
    off: off.filter((one) => one.personId === personId).map(({ personId: _, ...rest }) => rest),
  }));
}

/** Minutes somebody is at the bench on a day, if the shop is open then. */
export const minutesAtBench = ({ minutes, off }: PersonHours, day: string): number =>
  off.some(({ from, to }) => from <= day && day <= to) ? 0 : minutes[weekdayOf(day) - 1]!;

/** Minutes of each day of somebody's week, Monday first. */
function weekOf(db: Db, personId: number): number[] {
  const minutes = new Map(
    (
      db.prepare("SELECT weekday, minutes FROM person_hours WHERE person_id = ?").all(personId) as { weekday: number; minutes: number }[]
    ).map((day) => [day.weekday, day.minutes]),
  );
  return Array.from({ length: 7 }, (_, day) => minutes.get(day + 1) ?? 0);
}

/** Sets the hours of a person's week; all nothing takes them from the bench. @param minutes Monday first. */
export function setPersonHours(ctx: Context, personId: number, minutes: readonly number[], seen: string | null = null): void {
  if (!findPerson(ctx.db, personId)) throw new Refusal("no-person", "This person no longer works here. Reload the page.");
  refuseUnseen(seen, seenWeek(weekOf(ctx.db, personId)), "This week");
  ctx.db.prepare("DELETE FROM person_hours WHERE person_id = ?").run(personId);
  if (minutes.some((each) => each > 0)) {
    const insert = ctx.db.prepare("INSERT INTO person_hours (person_id, weekday, minutes) VALUES (?, ?, ?)");
    minutes.forEach((each, day) => {
      if (each > 0) insert.run(personId, day + 1, each);
    });
  }
  writeJournal(ctx, "person-hours-set", {}, { personId, minutes: minutes.reduce((sum, each) => sum + each, 0) });
}

export function addPersonOff(ctx: Context, personId: number, days: Omit<PersonOff, "id">): number {
  if (days.to < days.from) throw new Refusal("before", "The last day is before the first.", "to");
  if (!findPerson(ctx.db, personId)) throw new Refusal("no-person", "This person no longer works here. Reload the page.");
  const id = Number(
    ctx.db
      .prepare("INSERT INTO person_off (person_id, from_day, to_day, words) VALUES (?, ?, ?, ?)")
      .run(personId, days.from, days.to, days.words).lastInsertRowid,
  );
  writeJournal(ctx, "person-off-added", {}, { personId, from: days.from, to: days.to });
  return id;
}

export function removePersonOff(ctx: Context, id: number): void {
  const { changes } = ctx.db.prepare("UPDATE person_off SET removed_at = ? WHERE id = ? AND removed_at IS NULL").run(ctx.now, id);
  if (!changes) throw new Refusal("gone", "These days have already been removed. Reload to see what is left.");
  writeJournal(ctx, "person-off-removed", {}, { id });
}
