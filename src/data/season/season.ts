import { dayNumber, dayOfNumber, daysPerMonth, minutesPerDay } from "@/core/day/day";
import { nextService } from "@/core/intervals/next-service";
import { comingPerDay } from "@/core/promise/backtest";
import { minutesOn } from "@/core/promise/calendar";
import { meanOf } from "@/core/promise/draws";
import { whyShut } from "@/core/schedule/opening";
import { type DueReel, invitationsOf, type WeekAhead, weeksAhead } from "@/core/season/season";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { keptAnswer, lastActOfShop } from "@/data/database/kept-answers";
import { intakeSchema } from "@/data/jobs/jobs";
import { freshJob, liveBench } from "@/data/promise/bench";
import { minuteOf } from "@/data/promise/past";
import { openingOf } from "@/data/shop/opening";

/** A year ahead, and a little. */
const weeksShown = 52;
/** Reels due longer ago than this are not asked any more. */
const overdueDays = 200;

interface Visit {
  readonly reelId: number;
  readonly jobId: number;
  readonly owner: string;
  readonly ownerId: number;
  readonly reel: string;
  readonly due: number;
}

/** Reels that are due again within a year, by their last service here; those that hang here, were scrapped or asked already are left out. */
function dueReels(db: Db, today: number): Visit[] {
  const rows = db
    .prepare(
      `SELECT reel.id AS reelId, job.id AS jobId, customer.name AS owner, customer.id AS ownerId, model.name AS reel, job.closed_at AS closed, job.intake
       FROM reel JOIN job ON job.id = (SELECT max(id) FROM job WHERE job.reel_id = reel.id)
       JOIN customer ON customer.id = reel.owner_id JOIN model ON model.id = reel.model_id
       WHERE job.closed_at >= ? AND job.declined_reason IS NULL AND job.kind <> 'purchase-check' AND job.lot_id IS NULL
         AND reel.scrapped_at IS NULL AND customer.retired_at IS NULL
         AND NOT EXISTS (SELECT 1 FROM season_invitation WHERE season_invitation.reel_id = reel.id AND after_job_id = job.id)`,
    )
    .all(dayOfNumber(today - 800)) as (Omit<Visit, "due"> & { closed: string; intake: string })[];
  return rows.flatMap(({ closed, intake, ...visit }) => {
    const { water, tripsPerYear } = intakeSchema.parse(JSON.parse(intake));
    const due = dayNumber(closed.slice(0, 10)) + Math.round(daysPerMonth * nextService({ water, tripsPerYear }).months);
    return due < today - overdueDays || due > today + 7 * weeksShown ? [] : [{ ...visit, due }];
  });
}

export interface Season {
  readonly weeks: readonly (WeekAhead & { readonly day: string })[];
  readonly minutesPerReel: number;
  /** Years of the shop's own past it stands on; 0 is "as lately". */
  readonly years: number;
  /** Whom to ask when: one letter for an owner and a week. */
  readonly invitations: readonly {
    readonly ownerId: number;
    readonly owner: string;
    readonly week: string;
    readonly due: string;
    readonly reels: readonly { readonly reelId: number; readonly jobId: number; readonly name: string }[];
  }[];
}

/** The year ahead, as far as the years before tell, and whom to ask into its empty weeks. */
export const seasonOf = (db: Db, today: string, now: string): Season =>
  keptAnswer(
    db,
    `season on ${today}`,
    `${lastActOfShop(db)} ${db.prepare("SELECT count(*) || ' ' || coalesce(max(closed_at), '') FROM job").pluck().get()}`,
    () => {
      const first = dayNumber(today);
      const came = (
        db
          .prepare("SELECT opened_at FROM job WHERE opened_at >= ? ORDER BY opened_at")
          .pluck()
          .all(dayOfNumber(first - 3 * 366)) as string[]
      ).map(minuteOf);
      const live = liveBench(db, today, now);
      const usual = freshJob(live, { modelId: "", family: "", kind: "repair" }).job.steps;
      const minutesPerReel = usual.reduce((sum, step) => sum + (step.kind === "work" ? meanOf(step.minutes) : 0), 0);
      const opening = openingOf(db, today);
      const benchOn = (ahead: number) =>
        whyShut(opening, dayOfNumber(first + ahead)) === null
          ? live.bench.people.reduce((sum, person) => sum + minutesOn(person, ahead), 0)
          : 0;
      const weeks = weeksAhead(first, comingPerDay(came, first, 7 * weeksShown), minutesPerReel, benchOn).map((week) => ({
        ...week,
        day: dayOfNumber(week.from),
      }));
      const due = dueReels(db, first);
      const byReel = new Map(due.map((visit) => [visit.reelId, visit]));
      const letters = new Map<string, { visits: Visit[]; week: number }>();
      for (const { reelId, week } of invitationsOf(due satisfies readonly DueReel[], weeks, minutesPerReel)) {
        const visit = byReel.get(reelId)!;
        // Who has several reels brings them at once.
        const own = letters.get(String(visit.ownerId)) ?? { visits: [], week };
        own.visits.push(visit);
        letters.set(String(visit.ownerId), own);
      }
      return {
        weeks,
        minutesPerReel,
        years: came.length ? Math.min(3, Math.floor((first - Math.floor(came[0]! / minutesPerDay)) / 365)) : 0,
        invitations: [...letters.values()]
          .map(({ visits, week }) => ({
            ownerId: visits[0]!.ownerId,
            owner: visits[0]!.owner,
            week: weeks[week]!.day,
            due: dayOfNumber(Math.min(...visits.map((visit) => visit.due))),
            reels: visits.map(({ reelId, jobId, reel }) => ({ reelId, jobId, name: reel })),
          }))
          .sort((a, b) => (a.week < b.week ? -1 : a.week > b.week ? 1 : a.owner.localeCompare(b.owner))),
      };
    },
  );

/** Notes that owners are asked, so that nobody is asked twice after the same visit. @returns the instant the letters are found by. */
export function invite(ctx: Context, today: string, ownerIds: readonly number[]): { readonly batch: string } {
  const chosen = seasonOf(ctx.db, today, ctx.now).invitations.filter(({ ownerId }) => ownerIds.includes(ownerId));
  if (!chosen.length) throw new Refusal("none", "None of these is waiting to be invited any more. Reload the page.");
  const insert = ctx.db.prepare("INSERT INTO season_invitation (reel_id, after_job_id, week, due_on, at) VALUES (?, ?, ?, ?, ?)");
  for (const { reels, week, due } of chosen) for (const { reelId, jobId } of reels) insert.run(reelId, jobId, week, due, ctx.now);
  writeJournal(ctx, "season-invited", {}, { owners: chosen.length });
  return { batch: ctx.now };
}

/** The letters of one batch. */
export function listInvited(db: Db, batch: string): { owner: string; address: string; week: string; due: string; reels: string[] }[] {
  const rows = db
    .prepare(
      `SELECT customer.id, customer.name AS owner, customer.address, week, due_on AS due, model.name AS reel FROM season_invitation
       JOIN reel ON reel.id = reel_id JOIN customer ON customer.id = reel.owner_id JOIN model ON model.id = reel.model_id
       WHERE season_invitation.at = ? ORDER BY customer.name, season_invitation.id`,
    )
    .all(batch) as { id: number; owner: string; address: string; week: string; due: string; reel: string }[];
  const letters = new Map<number, { owner: string; address: string; week: string; due: string; reels: string[] }>();
  for (const { id, owner, address, week, due, reel } of rows) {
    const letter = letters.get(id) ?? { owner, address, week, due, reels: [] };
    letter.reels.push(reel);
    letters.set(id, letter);
  }
  return [...letters.values()];
}

/** Batches of letters, the last first. */
export const listBatches = (db: Db): { batch: string; reels: number }[] =>
  db.prepare("SELECT at AS batch, count(*) AS reels FROM season_invitation GROUP BY at ORDER BY at DESC LIMIT 6").all() as {
    batch: string;
    reels: number;
  }[];
