import { type Bench, type BenchJob, type BenchStep, chanceBy, dayFor, type Foretold, foretell } from "@/core/promise/bench-simulation";
import { dayMinutes, type WorkDays } from "@/core/promise/calendar";
import type { Duration } from "@/core/promise/draws";
import { whyShut } from "@/core/schedule/opening";
import { usualStationMinutes } from "@/data/jobs/station-time";
import { listSuppliers } from "@/data/parts/suppliers";
import { type HangingJob, listRack } from "@/data/schedule/rack";
import { openingOf } from "@/data/shop/opening";
import { getShopSettings } from "@/data/shop/settings";
import type { Db } from "@/data/store/database";
import { keptAnswer, lastActOfShop } from "@/data/store/kept-answers";
import { leadTimesOf } from "@/data/stores/experience";

/** Days looked ahead, in which also jobs that are not here yet come. */
const lookDays = 90;
/** Runs for an answer at the Counter: its chances are right to about three in a hundred. */
const runs = 200;
const seed = 20_260_101;
/** Rules of thumb, until the shop's own past says otherwise (common practice). */
const thumb = {
  /** How much a job's minutes spread around what is usual, on a log scale. */
  workSpread: 0.45,
  /** Minutes of a job of a model that was never timed here. */
  workMinutes: 80,
  /** Days until a customer answers. */
  answerDays: 2,
  /** Minutes in baths, drying with them. */
  bathMinutes: 45,
  /** Share of a job's work done before it is taken apart. */
  before: 0.3,
  /** Share of jobs that wait for a parcel. */
  parcelShare: 0.25,
  learning: 0.92,
};

const fixedDays = (days: number): BenchStep => ({ kind: "wait", minutes: { law: "fixed", mean: Math.max(0, days) * dayMinutes } });
const work = (minutes: number): BenchStep => ({
  kind: "work",
  minutes: { law: "lognormal", median: Math.max(1, minutes), spread: thumb.workSpread },
});
const bath: BenchStep = { kind: "wait", minutes: { law: "fixed", mean: thumb.bathMinutes } };
const nextDay = (day: string, ahead: number) => new Date(Date.parse(`${day}T00:00:00Z`) + ahead * 86_400_000).toISOString().slice(0, 10);
const daysBetween = (from: string, to: string) =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);

/** What the shop's own past says: how often a job waits for a parcel, how long parcels take, how many jobs come a day. */
function pastOf(db: Db, today: string): { parcelShare: number; parcel: Exclude<Duration, { law: "sometimes" }>; perDay: number[] } {
  return keptAnswer(db, `the bench's past on ${today}`, lastActOfShop(db), () => {
    const since = nextDay(today, -365);
    const { jobs, waited } = db
      .prepare(
        `SELECT count(*) AS jobs, coalesce(sum(EXISTS (SELECT 1 FROM need WHERE need.job_id = job.id AND need.order_line_id IS NOT NULL)), 0) AS waited
         FROM job WHERE opened_at >= ?`,
      )
      .get(since) as { jobs: number; waited: number };
    // Drawn to the rule of thumb as if twenty jobs had shown it.
    const parcelShare = (waited + 20 * thumb.parcelShare) / (jobs + 20);
    const suppliers = listSuppliers(db).filter(({ retired }) => !retired);
    const leads = [...leadTimesOf(db, suppliers, 0.8).values()];
    const middle = leads.length ? leads.reduce((sum, lead) => sum + lead.middle, 0) / leads.length : 6;
    const late = leads.length ? leads.reduce((sum, lead) => sum + lead.days, 0) / leads.length : 9;
    // A log-normal whose eight in ten is the day that is reckoned with.
    const spread = Math.max(0.1, Math.log(Math.max(1.05, late / middle)) / 0.8416);
    // The season: as many a day as at this time of the years before, or as lately where there was none.
    const first = (db.prepare("SELECT min(opened_at) FROM job").pluck().get() as string | null)?.slice(0, 10) ?? today;
    const years = Math.floor(daysBetween(first, today) / 365);
    const count = db.prepare("SELECT count(*) FROM job WHERE opened_at >= ? AND opened_at < ?").pluck();
    const lately = (count.get(nextDay(today, -60), nextDay(today, 1)) as number) / Math.min(60, Math.max(7, daysBetween(first, today)));
    const perDay = Array.from({ length: lookDays }, (_, ahead) => {
      if (years === 0) return lately;
      let sum = 0;
      for (let year = 1; year <= Math.min(3, years); year++) {
        const day = nextDay(today, ahead - 365 * year);
        sum += (count.get(nextDay(day, -10), nextDay(day, 11)) as number) / 21;
      }
      return sum / Math.min(3, years);
    });
    return { parcelShare, parcel: { law: "lognormal", median: middle * dayMinutes, spread }, perDay };
  });
}

/** Minutes a job of a model usually takes here, all stations together. */
function minutesOfModel(db: Db, modelId: string | null): number {
  const timed = modelId === null ? [] : usualStationMinutes(db, modelId);
  return timed.some(({ station }) => station === "build") ? timed.reduce((sum, { minutes }) => sum + minutes, 0) : thumb.workMinutes;
}

/** The steps of a job nobody has looked into yet. */
const freshSteps = (minutes: number, past: ReturnType<typeof pastOf>): BenchStep[] => [
  work(minutes * thumb.before),
  bath,
  { kind: "wait", minutes: { law: "sometimes", chance: past.parcelShare, takes: past.parcel } },
  work(minutes * (1 - thumb.before)),
];

/** The steps a job that hangs here still has before it. */
function stepsOf(
  { job, station, move, minutesLeft }: HangingJob,
  past: ReturnType<typeof pastOf>,
  comesInDays: number | null,
): BenchStep[] {
  if (move === "shelf") return [];
  const answer: BenchStep[] =
    move === "customer" ? [{ kind: "wait", minutes: { law: "exponential", mean: thumb.answerDays * dayMinutes } }] : [];
  if (move === "supplier")
    return [comesInDays === null ? { kind: "wait", minutes: past.parcel } : fixedDays(Math.max(0.5, comesInDays)), work(minutesLeft)];
  if (station === "test" || station === "find" || station === "quote") return [...answer, ...freshSteps(minutesLeft, past)];
  if (station === "strip") return [...answer, work(minutesLeft * 0.3), bath, work(minutesLeft * 0.7)];
  return job.declinedReason !== null ? [work(10)] : [...answer, work(minutesLeft)];
}

/** The bench as it stands: its hours, what hangs here, and what will come. @param today ISO day. */
function benchOf(db: Db, today: string): Bench & { readonly tags: readonly string[]; readonly promised: readonly number[] } {
  const past = pastOf(db, today);
  const settings = getShopSettings(db);
  const opening = openingOf(db, today);
  const people: WorkDays[] = [
    {
      from: 540,
      minutes: Array.from({ length: lookDays }, (_, ahead) =>
        whyShut(opening, nextDay(today, ahead)) === null ? Math.round(settings.benchHoursPerDay * 60) : 0,
      ),
    },
  ];
  const arriving = new Map(
    db
      .prepare(
        `SELECT need.job_id, max(purchase_order.expected_on) FROM need JOIN order_line ON order_line.id = need.order_line_id
         JOIN purchase_order ON purchase_order.id = order_line.order_id WHERE need.state = 'ordered' GROUP BY need.job_id`,
      )
      .raw()
      .all() as [number, string][],
  );
  const rack = listRack(db).filter(({ move }) => move !== "shelf");
  const placeInLot = new Map<number, number>();
  const jobs: BenchJob[] = rack.map((hanging) => {
    const { job } = hanging;
    const comes = arriving.get(job.id);
    const place = job.lotId === null ? 0 : (placeInLot.get(job.lotId) ?? 0) + 1;
    if (job.lotId !== null) placeInLot.set(job.lotId, place);
    return {
      key: job.id,
      from: 0,
      rank: daysBetween(today, job.promisedOn),
      steps: stepsOf(hanging, past, comes ? daysBetween(today, comes) : null),
      ...(place ? { lot: { place, rate: thumb.learning } } : {}),
    };
  });
  return {
    people,
    jobs,
    toCome: { perDay: past.perDay, steps: freshSteps(thumb.workMinutes, past), promisedAfterDays: 8 },
    tags: rack.map(({ tag }) => tag),
    promised: rack.map(({ job }) => daysBetween(today, job.promisedOn)),
  };
}

/** The number of a job that is not here yet, among the bench's own. */
const newKey = (1 << 24) - 1;

export interface PromiseAnswer {
  /** The day for 8 in 10, and an earlier and a surer one: ISO days; null where none within the days looked ahead. */
  readonly day: string | null;
  readonly middle: string | null;
  readonly sure: string | null;
  /** Chance that it is done by each day from today, of 100. */
  readonly chances: readonly number[];
  /** What the day hangs on, in a sentence. */
  readonly because: string;
}

const isoDay = (today: string, day: number): string | null => (day < lookDays ? nextDay(today, day) : null);

/** The day a reel that comes in now could be promised for, with its chance. @param modelId null for one the library does not know. */
export function promiseFor(db: Db, today: string, modelId: string | null): PromiseAnswer {
  return keptAnswer(db, `promise for ${modelId ?? "any"} on ${today}`, lastActOfShop(db), () => {
    const bench = benchOf(db, today);
    const past = pastOf(db, today);
    const minutes = minutesOfModel(db, modelId);
    // It is taken up after what is promised sooner, a week from now like most.
    const fresh: BenchJob = { key: newKey, from: 0, rank: 7, steps: freshSteps(minutes, past) };
    const told = foretell({ ...bench, jobs: [...bench.jobs, fresh] }, seed, runs).at(-1)!;
    const [from, to] = [dayFor(told, 0.1), dayFor(told, 0.9)];
    const before = bench.jobs.filter(({ rank }) => rank <= 7).length;
    return {
      day: isoDay(today, dayFor(told, 0.8)),
      middle: isoDay(today, dayFor(told, 0.5)),
      sure: isoDay(today, dayFor(told, 0.95)),
      chances: Array.from({ length: 60 }, (_, day) => Math.round(100 * chanceBy(told, day))),
      because: `${before === 1 ? "1 reel is" : `${before} reels are`} promised sooner; ${Math.round(100 * past.parcelShare)} in 100 wait for a parcel; such a reel takes ${from === to ? `${from}` : `${from} to ${to}`} days`,
    };
  });
}

export interface Slip {
  readonly tag: string;
  /** Chance that its promised day holds, of 100: as it stands, and with the rush job taken. */
  readonly before: number;
  readonly after: number;
}

/** What slips if a reel is taken up before everything else: jobs whose chance falls by five in a hundred or more, the hardest hit first. */
export function slipsOf(db: Db, today: string, modelId: string | null): { readonly day: string | null; readonly slips: readonly Slip[] } {
  return keptAnswer(db, `rush of ${modelId ?? "any"} on ${today}`, lastActOfShop(db), () => {
    const bench = benchOf(db, today);
    const rush: BenchJob = { key: newKey, from: 0, rank: -1e6, steps: freshSteps(minutesOfModel(db, modelId), pastOf(db, today)) };
    const alone = foretell(bench, seed, runs);
    const beside = foretell({ ...bench, jobs: [...bench.jobs, rush] }, seed, runs);
    const chance = (told: Foretold, i: number) => Math.round(100 * chanceBy(told, bench.promised[i]!));
    return {
      day: isoDay(today, dayFor(beside.at(-1)!, 0.8)),
      slips: bench.tags
        .map((tag, i) => ({ tag, before: chance(alone[i]!, i), after: chance(beside[i]!, i) }))
        .filter(({ before, after }) => before - after >= 5)
        .sort((a, b) => b.before - b.after - (a.before - a.after)),
    };
  });
}
