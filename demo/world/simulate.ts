import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import type { DepthId, JobKind } from "@/core/vocabulary/job-kinds";
import { type Calendar, within } from "./calendar";
import { failsOn, type HiddenReel, tripsOf } from "./reels";
import type { Seeded } from "./seeded";
import { drawLife, wornShare } from "./wear";

/** One visit as the world knows it; the shop is told what the counter hears and what the bench finds. */
export interface WorldVisit {
  readonly reel: HiddenReel;
  readonly kind: JobKind;
  readonly depth: DepthId | null;
  readonly complaints: readonly ComplaintId[];
  /** Days of the world. */
  readonly cameOn: number;
  readonly promisedOn: number;
  /** Outings of the reel by then. */
  readonly trips: number;
  /** What is worn out in truth; what of it the bench finds. */
  readonly truth: readonly string[];
  readonly found: readonly string[];
  /** Minutes the work takes: what is asked and tested, what is opened and cleaned, what is built and proved. */
  readonly minutes: { readonly look: number; readonly open: number; readonly build: number };
  /** How many of its like of this lot were done before. */
  readonly lot: { readonly name: string; readonly mark: string; readonly place: number } | null;
  readonly answerAfterDays: number | null;
  readonly declined: boolean;
  readonly fetchedAfterDays: number;
}

/** The shop's hands in the world: each act is done there and then, through the shop's own books. Minutes count from midnight. */
export interface Hands {
  /** A lot's visits come at once. */
  readonly take: (day: number, minute: number, visits: readonly WorldVisit[]) => readonly number[];
  readonly look: (day: number, minute: number, job: number, visit: WorldVisit) => void;
  readonly answered: (day: number, minute: number, job: number, visit: WorldVisit) => void;
  /** @returns whether pieces have to be ordered for it. */
  readonly open: (day: number, minute: number, job: number, visit: WorldVisit) => boolean;
  /** Orders what is wanted today. @returns days on which something comes, with what it is for. */
  readonly order: (
    day: number,
    minute: number,
  ) => readonly { readonly comesOn: number; readonly receive: (day: number, minute: number) => void }[];
  /** @returns whether every piece is there. */
  readonly ready: (job: number) => boolean;
  readonly build: (day: number, minute: number, job: number, visit: WorldVisit) => void;
  readonly fetch: (day: number, minute: number, job: number, visit: WorldVisit) => void;
}

export interface World {
  readonly calendar: Calendar;
  readonly reels: readonly HiddenReel[];
  /** A fleet's reels come as one lot, once a year. */
  readonly fleets: readonly { readonly name: string; readonly reels: readonly HiddenReel[]; readonly comesOn: ReadonlySet<number> }[];
  /** Share of failures whose owner comes here with them. */
  readonly loyalty: number;
  readonly benchMinutes: number;
  /** How long a life renewed at a visit lasts against what it should; 1 where nothing is planted. For worlds that are to be judged. */
  readonly planted?: (visit: WorldVisit, component: string, day: number) => number;
}

interface Hanging {
  readonly job: number;
  readonly visit: WorldVisit;
  stage: "look" | "answer" | "open" | "parts" | "build" | "ready";
  /** Not before this day. */
  from: number;
}

const atLeast = (n: number) => Math.max(2, Math.round(n));

/** What a reel comes for on a day: its owner noticed something, wants its year's service, or has it looked at. */
function visitOf(random: Seeded, reel: HiddenReel, day: number, calendar: Calendar, comeback: boolean, lot: WorldVisit["lot"]): WorldVisit {
  const trips = tripsOf(reel, day, calendar);
  const worn = reel.components.filter((component) => wornShare(component, trips) >= 1);
  const truth = worn.map(({ spec }) => spec.id);
  const noticed = [...new Set(worn.filter(() => random.chance(0.8)).map(({ spec }) => spec.noticed))];
  const kind: JobKind = comeback
    ? "comeback"
    : lot || (truth.length && noticed.length)
      ? "repair"
      : random.weighted({ service: 0.86, "purchase-check": 0.08, upgrade: 0.06 });
  const depth: DepthId | null = kind === "service" ? random.weighted({ light: 0.25, quick: 0.35, full: 0.4 }) : null;
  const opens = kind !== "purchase-check" && depth !== "light";
  // A thorough hand misses little; what nobody complained of is missed more easily.
  const found = truth.filter((id) => random.chance(noticed.includes(worn.find(({ spec }) => spec.id === id)!.spec.noticed) ? 0.96 : 0.82));
  const faultMinutes = worn.filter(({ spec }) => found.includes(spec.id)).reduce((sum, { spec }) => sum + spec.minutes, 0);
  // Like reels one after another go quicker: Wright's law at 0.88.
  const learned = lot ? (lot.place + 1) ** Math.log2(0.88) : 1;
  const deep = depth === "quick" ? 0.6 : 1;
  const unlike = () => random.lognormal(1, 0.25) * learned;
  return {
    reel,
    kind,
    depth,
    complaints: noticed.length ? noticed : kind === "service" ? ["service"] : [],
    cameOn: day,
    promisedOn: day + (depth === "light" ? 1 : random.whole(8, 14)) + (lot ? 10 : 0),
    trips,
    truth,
    found,
    minutes: {
      look: atLeast((depth === "light" ? 4 : 11) * unlike()),
      open: opens ? atLeast((6 + 0.25 * deep * reel.model.parts + 0.3 * faultMinutes) * unlike()) : 0,
      build: opens ? atLeast((8 + 0.4 * deep * reel.model.parts + 0.5 * faultMinutes) * unlike()) : atLeast(6 * unlike()),
    },
    lot,
    answerAfterDays: kind === "repair" && !lot && random.chance(0.3) ? 1 + Math.round(random.lognormal(1.5, 0.8)) : null,
    declined: kind === "repair" && !lot && random.chance(0.04),
    fetchedAfterDays: 1 + Math.round(random.waiting(depth === "light" ? 1 : 4)),
  };
}

/** What the work makes of a reel: what was found and mended is new, a service makes grease and roller fresh, what was missed goes on. */
function mend(random: Seeded, visit: WorldVisit, day: number, { calendar, planted }: World): void {
  const { reel, kind, depth, found, declined } = visit;
  if (kind === "purchase-check" || declined) return;
  const trips = tripsOf(reel, day, calendar);
  const bad = within(calendar.days[day]!, calendar.upsets.badWashers);
  for (const component of reel.components) {
    const { spec } = component;
    const mended = found.includes(spec.id);
    const served = spec.renews.length === 0 && depth !== "light" && (kind !== "repair" || mended);
    if (!mended && !served) continue;
    component.freshAtTrips = trips;
    component.lifeTrips = drawLife(
      random,
      spec,
      reel.water,
      (bad && spec.id === "drag" ? calendar.upsets.badWashers.lifeTimes : 1) * (mended ? (planted?.(visit, spec.id, day) ?? 1) : 1),
    );
    // Now and then a piece is put in badly, or was bad when it came.
    if (mended && random.chance(0.03)) component.lifeTrips = Math.min(component.lifeTrips, random.uniform() * 4 + 0.5);
  }
}

/** When a reel comes the next time: its owner notices what failed some weeks after, or keeps to a yearly service. Infinity where never. */
function nextVisit(
  random: Seeded,
  reel: HiddenReel,
  from: number,
  { calendar, loyalty }: World,
  last: WorldVisit | null,
): { day: number; comeback: boolean } {
  let first = Number.POSITIVE_INFINITY;
  let again = false;
  for (const component of reel.components) {
    const failed = failsOn(reel, component, calendar);
    if (!Number.isFinite(failed)) continue;
    // What the bench missed is noticed in its time; what it had mended and gives way at once is brought back at once.
    const mended = last?.found.includes(component.spec.id) ?? false;
    const noticed = Math.max(from + 3, failed) + Math.round(random.waiting(failed <= from ? 120 : mended && failed - from < 60 ? 8 : 25));
    if (noticed >= first) continue;
    first = noticed;
    again = mended;
  }
  const brings = random.chance(loyalty) ? first : Number.POSITIVE_INFINITY;
  if (reel.yearly && random.chance(loyalty)) {
    // Before the next season.
    for (let day = from + 240; day < calendar.days.length; day++)
      if (random.chance((0.02 * calendar.season[day]!) / 1.2)) return { day: Math.min(day, brings), comeback: false };
  }
  return { day: brings, comeback: again && brings - from < 120 };
}

/** Walks the days of a world, the shop's hands doing what each brings. @param seen told of every visit when it comes, for the world's truth. */
export function simulate(
  random: Seeded,
  world: World,
  hands: Hands,
  seen: (visit: WorldVisit, job: number) => void,
  dayDone: (day: number) => void,
): void {
  const { calendar } = world;
  const coming = new Map<number, { reel: HiddenReel; comeback: boolean }[]>();
  const expect = (reel: HiddenReel, from: number, last: WorldVisit | null) => {
    const { day, comeback } = nextVisit(random, reel, from, world, last);
    if (day < calendar.days.length) coming.set(day, [...(coming.get(day) ?? []), { reel, comeback }]);
  };
  for (const reel of world.reels) expect(reel, reel.from, null);
  const hanging: Hanging[] = [];
  const deliveries = new Map<number, ((day: number, minute: number) => void)[]>();
  const fetching = new Map<number, Hanging[]>();
  const later = <T>(of: Map<number, T[]>, day: number, what: T) => of.set(day, [...(of.get(day) ?? []), what]);
  const isOpen = (day: number) => calendar.weekday[day]! <= 6;

  for (let day = 0; day < calendar.days.length; day++) {
    if (!isOpen(day)) {
      for (const of of [coming, deliveries, fetching] as Map<number, unknown[]>[]) {
        const waiting = of.get(day);
        if (waiting) of.set(day + 1, [...(of.get(day + 1) ?? []), ...waiting]);
      }
      dayDone(day);
      continue;
    }
    // From the counter's day to the evening everything has its minute, so that the journal reads as it went.
    let minute = 8 * 60;
    for (const receive of deliveries.get(day) ?? []) receive(day, minute++);
    minute = 8 * 60 + 20;
    const take = (visits: readonly WorldVisit[]) => {
      const jobs = hands.take(day, minute, visits);
      visits.forEach((visit, i) => {
        hanging.push({ job: jobs[i]!, visit, stage: "look", from: day });
        seen(visit, jobs[i]!);
      });
      minute += 4;
    };
    for (const { reel, comeback } of (coming.get(day) ?? []).slice(0, 8)) take([visitOf(random, reel, day, calendar, comeback, null)]);
    // Who found a queue comes again tomorrow.
    for (const rest of (coming.get(day) ?? []).slice(8)) later(coming, day + 1, rest);
    for (const fleet of world.fleets)
      if (fleet.comesOn.has(day))
        take(
          fleet.reels.map((reel, place) =>
            visitOf(random, reel, day, calendar, false, {
              name: `${fleet.name} ${calendar.days[day]!.slice(0, 4)}`,
              mark: `boat ${place + 1}`,
              place,
            }),
          ),
        );

    if (calendar.works[day]) {
      minute = Math.max(9 * 60, minute);
      const end = minute + world.benchMinutes;
      const byPromise = hanging
        .filter(({ stage, from }) => from <= day && stage !== "ready")
        .sort((a, b) => a.visit.promisedOn - b.visit.promisedOn || a.job - b.job);
      for (const one of byPromise) {
        if (minute >= end) break;
        const { visit, job } = one;
        if (one.stage === "look") {
          hands.look(day, minute, job, visit);
          minute += visit.minutes.look;
          one.stage = "answer";
          one.from = day + (visit.answerAfterDays ?? 0);
        }
        if (one.stage === "answer" && one.from <= day && minute < end) {
          if (visit.answerAfterDays !== null) hands.answered(day, minute++, job, visit);
          one.stage = visit.declined || !visit.minutes.open ? "build" : "open";
        }
        if (one.stage === "open" && minute < end) {
          const waits = hands.open(day, minute, job, visit);
          minute += visit.minutes.open;
          one.stage = waits ? "parts" : "build";
        }
        if (one.stage === "parts" && hands.ready(job)) one.stage = "build";
        if (one.stage === "build" && minute < end) {
          hands.build(day, minute, job, visit);
          minute += visit.minutes.build;
          one.stage = "ready";
          mend(random, visit, day, world);
          later(fetching, day + (visit.lot ? 3 : visit.fetchedAfterDays), one);
        }
      }
      for (const { comesOn, receive } of hands.order(day, Math.min(minute, 17 * 60))) later(deliveries, comesOn, receive);
    }
    minute = Math.max(minute + 1, 16 * 60 + 30);
    for (const one of fetching.get(day) ?? []) {
      hands.fetch(day, minute, one.job, one.visit);
      minute += 3;
      hanging.splice(hanging.indexOf(one), 1);
      if (!one.visit.lot) expect(one.visit.reel, day, one.visit.kind === "purchase-check" || one.visit.declined ? null : one.visit);
    }
    dayDone(day);
  }
}
