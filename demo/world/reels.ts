import type { FamilyId } from "@/core/vocabulary/families";
import type { UseFactor, Water } from "@/core/vocabulary/use";
import type { Calendar } from "./calendar";
import type { Seeded } from "./seeded";
import { drawLife, type HiddenComponent, wearTable } from "./wear";

/** What the world has to know of a model to let its reels wear. */
export interface WorldModel {
  readonly id: string;
  readonly family: FamilyId;
  readonly roles: ReadonlySet<string>;
  readonly parts: number;
  /** How many of a hundred reels are of it. */
  readonly share: number;
  readonly serial: (n: number, year: number) => string;
}

export interface HiddenReel {
  readonly key: number;
  readonly owner: number;
  readonly model: WorldModel;
  readonly serial: string;
  readonly water: Water;
  readonly tripsPerYear: number;
  readonly life: readonly UseFactor[];
  /** Of its owner: brings it every year before the season, or only when something is wrong. */
  readonly yearly: boolean;
  /** First day of the world at which it can come. */
  readonly from: number;
  readonly components: HiddenComponent[];
  /** Its washers' coefficient when they are fresh, its spin's losses. */
  readonly freshMu: number;
  readonly rubbing: number;
  /** What the shop did not find the last time. */
  missed: string[];
}

const trips = { fresh: 14, brackish: 20, salt: 26 } as const;

/** A reel as it is when the world first hears of it: some of its life is gone. */
export function hiddenReel(
  random: Seeded,
  of: {
    readonly key: number;
    readonly owner: number;
    readonly models: readonly WorldModel[];
    readonly from: number;
    readonly calendar: Calendar;
    readonly fleet?: { readonly model: WorldModel; readonly serial: string };
  },
): HiddenReel {
  const drawn = random.weighted(Object.fromEntries(of.models.map((one) => [one.id, one.share])));
  const model = of.fleet?.model ?? of.models.find(({ id }) => id === drawn)!;
  const seaGoing = model.family.startsWith("star") || model.family === "lever-drag" || model.family === "spinning-sealed-bail-less";
  const water: Water = of.fleet
    ? "fresh"
    : random.weighted(seaGoing ? { salt: 7, brackish: 2, fresh: 1 } : { salt: 3, brackish: 2, fresh: 6 });
  const tripsPerYear = of.fleet ? 80 : Math.max(2, Math.round(random.lognormal(trips[water], 0.6)));
  const year = Number(of.calendar.days[of.from]!.slice(0, 4)) - random.whole(0, 12);
  const life: UseFactor[] = of.fleet
    ? ["fleet"]
    : [
        ...(random.chance(0.08) ? (["kayak"] as const) : []),
        ...(random.chance(0.12) ? (["second-hand"] as const) : []),
        ...(random.chance(0.06) ? (["stored"] as const) : []),
      ];
  return {
    key: of.key,
    owner: of.owner,
    model,
    serial: of.fleet?.serial ?? model.serial(10_000 + of.key * 7, year),
    water,
    tripsPerYear,
    life,
    yearly: random.chance(0.5),
    from: of.from,
    components: wearTable
      .filter(({ needs }) => model.roles.has(needs))
      .map((spec) => {
        const lifeTrips = drawLife(random, spec, water);
        // Nobody hears of a reel when it is new.
        return { spec, lifeTrips, freshAtTrips: -random.uniform() * lifeTrips };
      }),
    freshMu: random.lognormal(0.2, 0.08),
    rubbing: random.lognormal(1.7, 0.15),
    missed: [],
  };
}

/** Outings of a reel up to a day of the world. */
export const tripsOf = (reel: HiddenReel, day: number, { tripsBefore }: Calendar): number => reel.tripsPerYear * tripsBefore[day]!;

/** The day a component's life ends; Infinity where the world ends before. */
export function failsOn(reel: HiddenReel, component: HiddenComponent, { tripsBefore }: Calendar): number {
  const wanted = (component.freshAtTrips + component.lifeTrips) / reel.tripsPerYear;
  if (wanted > tripsBefore.at(-1)!) return Number.POSITIVE_INFINITY;
  let [low, high] = [0, tripsBefore.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (tripsBefore[middle]! < wanted) low = middle + 1;
    else high = middle;
  }
  return low;
}
