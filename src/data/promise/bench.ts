import { dayNumber, dayOfNumber, minutesPerDay } from "@/core/day/day";
import { benchAt, chanceToAsk, comingPerDay } from "@/core/promise/backtest";
import type { Bench, BenchJob } from "@/core/promise/bench-simulation";
import { type Duration, meanOf } from "@/core/promise/draws";
import type { Learned } from "@/core/promise/past";
import { benchJob, type Stage, type Standing } from "@/core/promise/standing";
import { whyShut } from "@/core/schedule/opening";
import type { Station } from "@/core/vocabulary/job-kinds";
import type { Db } from "@/data/database/database";
import { type HangingJob, listRack } from "@/data/schedule/rack";
import { openingOf } from "@/data/shop/opening";
import { listPersonHours, minutesAtBench } from "@/data/shop/person-hours";
import { getShopSettings } from "@/data/shop/settings";
import { benchFrom, kindOf, minuteOf, shopPast } from "./past";
import { saidAndTook } from "./said";

/** Days looked ahead, in which also jobs that are not here yet come. */
export const lookDays = 90;
/** Where every choice meets the same luck. */
export const promiseSeed = 20_260_101;

/** The bench as it stands, ready for the simulation, with what each job is called. Days count from today. */
export interface LiveBench {
  readonly today: string;
  readonly bench: Bench;
  /** Its jobs in the bench's order. */
  readonly hanging: readonly {
    readonly key: number;
    readonly tag: string;
    readonly promised: number;
    /** Bench minutes still ahead, as is usual. */
    readonly minutes: number;
  }[];
  readonly people: readonly { readonly personId: number | null; readonly name: string }[];
  /** The shop's chance, and the simulation's own for which days have held so often here. */
  readonly wanted: number;
  readonly ask: number;
  /** Finished jobs it stands on. */
  readonly learnedFrom: number;
}

const stageOf: Readonly<Record<Station, Stage>> = {
  test: "fresh",
  find: "answered",
  quote: "answered",
  strip: "answered",
  clean: "opened",
  parts: "opened",
  build: "built",
  prove: "built",
  return: "built",
};

const classOf = ({ kind, depth, depthSaid }: HangingJob["job"]) => kindOf(kind, depthSaid ? depth : null);

function standingOf({ job, station, move }: HangingJob, families: ReadonlyMap<string, string>, parcelInDays: number | null): Standing {
  const of = { modelId: job.reel.modelId, family: families.get(job.reel.modelId) ?? "", kind: classOf(job) };
  // What was sent home unmended wants to be put together only.
  if (job.declinedReason !== null) return { stage: "built", job: of };
  if (move === "supplier") return { stage: "parcel", parcelInDays, job: of };
  if (move === "customer" && stageOf[station] !== "built") return { stage: "asked", job: of };
  return { stage: stageOf[station], job: of };
}

const familiesOf = (db: Db): ReadonlyMap<string, string> =>
  new Map(db.prepare("SELECT id, family FROM model").raw().all() as [string, string][]);

const workLeft = (job: BenchJob): number =>
  Math.round(job.steps.reduce((sum, step) => sum + (step.kind === "work" ? meanOf(step.minutes) : 0), 0));

/** Minutes worked on each day ahead: by the hours of its people where they have any, else by the shop's own as they are truly worked. */
function peopleOf(db: Db, today: string, own: Bench["people"]): { people: Bench["people"]; names: LiveBench["people"] } {
  const hours = listPersonHours(db, today);
  if (!hours.length) return { people: own, names: [{ personId: null, name: "The bench" }] };
  const opening = openingOf(db, today);
  const first = dayNumber(today);
  return {
    people: hours.map((person) => ({
      from: benchFrom,
      minutes: Array.from({ length: lookDays }, (_, ahead) => {
        const day = dayOfNumber(first + ahead);
        return whyShut(opening, day) === null ? minutesAtBench(person, day) : 0;
      }),
    })),
    names: hours.map(({ personId, name }) => ({ personId, name })),
  };
}

/** The bench as it stands now. @param now an instant (ISO 8601), which the shop's own clock makes a day of. */
export function liveBench(db: Db, today: string, now: string): LiveBench & { readonly learned: Learned } {
  const past = shopPast(db, today);
  const settings = getShopSettings(db);
  const at = minuteOf(now);
  const first = dayNumber(today);
  const rack = listRack(db).filter(({ move }) => move !== "shelf");
  const standing = benchAt(past, at);
  const { learned } = standing;
  const arriving = new Map(
    db
      .prepare(
        `SELECT need.job_id, max(purchase_order.expected_on) FROM need JOIN order_line ON order_line.id = need.order_line_id
         JOIN purchase_order ON purchase_order.id = order_line.order_id WHERE need.state = 'ordered' GROUP BY need.job_id`,
      )
      .raw()
      .all() as [number, string][],
  );
  const families = familiesOf(db);
  const places = new Map<number, number>();
  const here = rack.map((hanging): Parameters<typeof benchJob> => {
    const { job } = hanging;
    const place = job.lotId === null ? 0 : (places.get(job.lotId) ?? 0) + 1;
    if (job.lotId !== null) places.set(job.lotId, place);
    const comes = arriving.get(job.id);
    return [
      job.id,
      standingOf(hanging, families, comes ? dayNumber(comes) - first : null),
      learned,
      dayNumber(job.promisedOn) - first,
      place,
    ];
  });
  const bench = standing.bench(here);
  const came = (
    db
      .prepare("SELECT opened_at FROM job WHERE opened_at >= ? ORDER BY opened_at")
      .pluck()
      .all(dayOfNumber(first - 3 * 366)) as string[]
  ).map(minuteOf);
  const { people, names } = peopleOf(db, today, bench.people);
  const jobs = bench.jobs.map((job) => ({ ...job, from: Math.max(0, at - first * minutesPerDay) }));
  return {
    today,
    learned,
    bench: { ...bench, people, jobs, toCome: { ...bench.toCome, perDay: comingPerDay(came, first, lookDays) } },
    hanging: rack.map(({ job, tag }, i) => ({
      key: job.id,
      tag,
      promised: dayNumber(job.promisedOn) - first,
      minutes: workLeft(jobs[i]!),
    })),
    people: names,
    wanted: settings.promiseChance,
    ask: chanceToAsk(saidAndTook(db, past.jobs), settings.promiseChance),
    learnedFrom: learned.jobs,
  };
}

/** The number of a job that is not here yet, among the bench's own. */
const newKey = (1 << 24) - 1;

/** A reel that may be taken in: as a job of the bench, taken up after what is promised within a week, and why it takes what it takes. */
export function freshJob(
  { bench, learned, hanging }: LiveBench & { readonly learned: Learned },
  of: { readonly modelId: string; readonly family: string; readonly kind: string },
): { readonly job: BenchJob; readonly because: string } {
  const job = benchJob(newKey, { stage: "fresh", job: of }, learned, 7, 0);
  const { chance, takes } = learned.parcel;
  const parcels = Math.round(100 * chance(of.kind) * learned.opens(of.kind));
  const before = hanging.filter(({ promised }) => promised <= 7).length;
  const from = bench.jobs[0]?.from ?? 0;
  return {
    job: { ...job, from },
    because: [
      `${before === 1 ? "1 reel is" : `${before} reels are`} promised sooner`,
      `such work takes ${rangeOf(sumOf(job), 1, 5)} bench minutes`,
      ...(parcels >= 3 ? [`${parcels} in 100 wait for a parcel, ${rangeOf(takes, minutesPerDay, 1)} days`] : []),
      learned.jobs >= 8 ? `from ${learned.jobs} finished jobs` : "by rules of thumb until jobs have been finished here",
    ].join("; "),
  };
}

/** The work of a job as one duration: medians added, the spread that of its largest piece. */
function sumOf(job: BenchJob): Duration {
  const pieces = job.steps.flatMap((step) => (step.kind === "work" ? [step.minutes] : []));
  const spread = Math.max(0, ...pieces.map((piece) => (piece.law === "lognormal" ? piece.spread : 0)));
  return { law: "lognormal", median: pieces.reduce((sum, piece) => sum + meanOf(piece), 0), spread: spread / Math.SQRT2 };
}

/** "4 to 9": where eight in ten lie. */
function rangeOf(duration: Duration, unit: number, step: number): string {
  const [middle, spread] = duration.law === "lognormal" ? [duration.median, duration.spread] : [meanOf(duration), 0];
  const at = (z: number) => Math.max(step, Math.round((middle * Math.exp(z * spread)) / unit / step) * step);
  const [low, high] = [at(-1.2816), at(1.2816)];
  return low === high ? `${low}` : `${low} to ${high}`;
}
