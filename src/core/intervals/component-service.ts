import type { PartType } from "@/core/anatomy/types";
import type { UseProfile } from "@/core/vocabulary/use";
import { nextService } from "./next-service";

export interface ComponentService {
  readonly id: string;
  readonly component: string;
  readonly what: string;
  readonly months: number;
  readonly because: string;
  /** The owner's own few minutes; the rest is the bench's. */
  readonly byOwner: boolean;
}

/** Months from a number of trips; nobody fishes more often than that, so never under a week. */
const monthsOfTrips = (trips: number, tripsPerYear: number): number => Math.max(0.25, (12 * trips) / Math.max(1, tripsPerYear));

const castBrakes = ["brake-block", "brake-drum", "brake-hub", "magnet"];

/** The outside by what this reel has of it. */
function outsideOf(has: (role: string) => boolean): string {
  const handle = has("handle") ? "handle" : "knobs";
  return castBrakes.some(has) ? `Outside, brakes and ${handle}` : `Outside and ${handle}`;
}

const seals: ReadonlySet<PartType["shape"]["kind"]> = new Set(["lip-seal"]);

/**
 * Which components a job served, by the parts that came off or were oiled where they sit: what stayed shut was not. Common practice.
 * @param whole every assembly that a full service opens was opened.
 */
export function servedComponents(touched: Iterable<Pick<PartType, "role" | "shape">>, whole: boolean): ReadonlySet<string> {
  const served = new Set(["outside"]);
  for (const { role, shape } of touched) {
    if (role === "worm") served.add("worm");
    if (role === "line-roller") served.add("line-roller");
    if (role === "pick-up-cone") served.add("cone");
    if (shape.kind === "friction-washer") served.add("drag");
    if (seals.has(shape.kind)) served.add("seals");
  }
  if (whole) for (const id of ["whole", "worm", "line-roller", "cone", "drag", "seals"]) served.add(id);
  return served;
}

/**
 * When each component of a reel is due again, by its use, soonest first. Rules of thumb (common practice): the worm at two months at the
 * longest; the line roller after a season, in salt by half; outer points every third trip in salt; the cone of a spincast after some twenty
 * trips; drag once a year, in hard salt use twice; seals of a sealed reel every year; the whole as nextService says.
 */
export function componentServices(types: Iterable<Pick<PartType, "role" | "shape">>, use: UseProfile): ComponentService[] {
  const all = [...types];
  const has = (role: string) => all.some((type) => type.role === role);
  const salt = use.water !== "fresh";
  const whole = nextService(use);
  const rows: (ComponentService | false)[] = [
    {
      id: "whole",
      component: "Whole reel",
      what: "full service",
      months: whole.months,
      because: whole.because,
      byOwner: false,
    },
    has("worm") && {
      id: "worm",
      component: "Worm of the level wind",
      what: "wipe and oil",
      months: Math.min(2, monthsOfTrips(10, use.tripsPerYear)),
      because: "two months is the longest",
      byOwner: true,
    },
    has("line-roller") && {
      id: "line-roller",
      component: "Line roller",
      what: "rinse, dry, a drop of oil",
      months: salt ? Math.min(6, monthsOfTrips(6, use.tripsPerYear)) : 12,
      because: salt ? "salt sits in it first" : "once a season",
      byOwner: true,
    },
    salt && {
      id: "outside",
      component: outsideOf(has),
      what: "quick clean, a drop at the knob",
      months: monthsOfTrips(3, use.tripsPerYear),
      because: "every third trip in salt",
      byOwner: true,
    },
    has("pick-up-cone") && {
      id: "cone",
      component: "Cone end",
      what: "clean, cam greased, a drop on the pin",
      months: Math.min(12, monthsOfTrips(20, use.tripsPerYear)),
      because: "after some 20 trips, once a season at least",
      byOwner: true,
    },
    all.some(({ shape }) => shape.kind === "friction-washer") && {
      id: "drag",
      component: "Drag",
      what: "stack checked, cleaned, greased or left dry as wished",
      months: whole.months <= 6 ? 6 : 12,
      because: whole.months <= 6 ? "hard use in salt" : "once a year",
      byOwner: false,
    },
    all.some(({ shape }) => seals.has(shape.kind)) && {
      id: "seals",
      component: "Seals",
      what: "checked, renewed where hard or cut",
      months: 12,
      because: "every year",
      byOwner: false,
    },
  ];
  // Whichever is first: who fishes more than they said comes sooner.
  const orTrips = (months: number) => Math.max(1, Math.round((months / 12) * use.tripsPerYear));
  return rows
    .filter((row): row is ComponentService => row !== false)
    .map((row) => ({
      ...row,
      because:
        use.tripsPerYear > 0
          ? `${row.because}, or ${orTrips(row.months)} trip${orTrips(row.months) === 1 ? "" : "s"} if sooner`
          : row.because,
    }))
    .sort((a, b) => a.months - b.months || (a.id < b.id ? -1 : 1));
}
