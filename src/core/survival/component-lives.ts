import { yearsOf } from "@/core/day/day";
import type { Life } from "./kaplan-meier";
import { beliefOf, fitLives, type LifeBelief, lifeOf, lifeWithInterval } from "./weibull";

/** A reel's visit as far as lives of its components go; days are numbered. */
export interface VisitSeen {
  readonly jobId: number;
  readonly reelId: number;
  readonly modelId: string;
  readonly family: string;
  readonly water: string;
  readonly tripsPerYear: number;
  readonly came: number;
  readonly left: number;
  /** Components that left it served or renewed. */
  readonly served: ReadonlySet<string>;
  /** Components found at their end when it came. */
  readonly found: ReadonlySet<string>;
}

/** A component's life between two visits, in trips, with whose it was and the job it was seen in. */
export interface ComponentLife extends Life {
  readonly modelId: string;
  readonly family: string;
  readonly water: string;
  readonly reelId: number;
  readonly jobId: number;
}

/** A reel that did not come back is thought to have been good for so long; after that nobody knows where it is. */
const silentDays = 540;

/**
 * The lives of a component: from a visit that left it fresh to the next at which it was found at its end, or to the last at which it was not. Time
 * is in trips, so that much and little use compare.
 * @param visits in any order. @param today day number.
 */
export function livesOfComponent(visits: readonly VisitSeen[], component: string, today: number): ComponentLife[] {
  const byReel = new Map<number, VisitSeen[]>();
  for (const visit of visits) byReel.set(visit.reelId, [...(byReel.get(visit.reelId) ?? []), visit]);
  const lives: ComponentLife[] = [];
  for (const own of byReel.values()) {
    own.sort((a, b) => a.came - b.came);
    let fresh: VisitSeen | null = null;
    const write = (seen: VisitSeen, until: number, ended: boolean, jobId: number) => {
      const trips = yearsOf(until - seen.left) * seen.tripsPerYear;
      if (trips > 0)
        lives.push({ time: trips, ended, modelId: seen.modelId, family: seen.family, water: seen.water, reelId: seen.reelId, jobId });
    };
    for (const visit of own) {
      const found = visit.found.has(component);
      if (fresh && (found || visit.served.has(component)))
        write({ ...fresh, tripsPerYear: visit.tripsPerYear }, visit.came, found, visit.jobId);
      if (visit.served.has(component)) fresh = visit;
      else if (found) fresh = null;
    }
    if (fresh && own.at(-1)!.left < today) write(fresh, Math.min(today, own.at(-1)!.left + silentDays), false, own.at(-1)!.jobId);
  }
  return lives;
}

/** Before as many have ended by its time, a component is due: one in four. */
export const dueShare = 0.25;
/** How far a rule of thumb may be out, how differently components age, and how far families and models stand apart; on log scales (common practice). */
const thumbSpread = 0.6;
const usualShape = { log: Math.log(1.8), spread: 0.35 };
const apart = 0.3;
/** Under so many ends the rule of thumb is said to count. */
export const enoughEnded = 5;

export interface DueFrom {
  /** Trips by which one in four has ended, and its interval. */
  readonly trips: number;
  readonly low: number;
  readonly high: number;
  /** Such reels it stands on, and how many of them had ended. */
  readonly reels: number;
  readonly ended: number;
}

/**
 * When a component is due, in trips: the rule of thumb, corrected by the lives of all reels, of the family and of the model, each as far as it is
 * known. Water counts: only lives in the same water are taken.
 * @param ruleTrips what the rule of thumb says.
 */
export function dueFromLives(
  lives: readonly ComponentLife[],
  of: { readonly modelId: string; readonly family: string; readonly water: string },
  ruleTrips: number,
): DueFrom {
  const thumbLaw = { median: 1, shape: Math.exp(usualShape.log) };
  const belief: LifeBelief = {
    logMedian: Math.log(Math.max(0.1, ruleTrips) / lifeOf(thumbLaw, dueShare)),
    logMedianSpread: thumbSpread,
    logShape: usualShape.log,
    logShapeSpread: usualShape.spread,
  };
  const same = lives.filter(({ water }) => water === of.water);
  const family = same.filter((life) => life.family === of.family);
  const model = family.filter((life) => life.modelId === of.modelId);
  // Each wider group without the narrower one: no life is counted twice.
  const others = fitLives(
    same.filter((life) => life.family !== of.family),
    belief,
  );
  const kin = fitLives(
    family.filter((life) => life.modelId !== of.modelId),
    beliefOf(others, apart),
  );
  const fit = fitLives(model, beliefOf(kin, apart / 2));
  const { time, low, high } = lifeWithInterval(fit, dueShare);
  // What is said to be "such reels": the narrowest group that shows enough.
  const group = [model, family, same].find((each) => each.filter(({ ended }) => ended).length >= enoughEnded) ?? same;
  return {
    trips: time,
    low,
    high,
    reels: new Set(group.map(({ reelId }) => reelId)).size,
    ended: group.filter(({ ended }) => ended).length,
  };
}
