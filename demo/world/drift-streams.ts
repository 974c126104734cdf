import type { FinishedWork, FittedPiece, LeavingReading } from "@/core/drift/watches";
import { drawAt } from "@/core/promise/draws";
import { bareWorld } from "./bare-world";

export const sources = ["quayside", "fellgate", "saltpan", "overwater"] as const;
export const hands = ["Ada", "Bo", "Cy"] as const;
/** Whose washers went in, and who did the work: drawn by reel and day, so that a plan and what is told of it agree. */
const sourceOf = (reel: number, day: number) => sources[Math.floor(4 * drawAt(71, reel, day))]!;
const handOf = (reel: number, day: number) => hands[Math.floor(3 * drawAt(72, reel, day))]!;

export type Plant = "none" | "supplier" | "model" | "person";
export const plantedSource = sources[1];
export const plantedHand = hands[1];
export const plantedModel = "spinning";

/** A busy world of four and a half years in which one thing changes after three: what a shop would see of it. */
export function driftStreams(seed: number, plant: Plant) {
  const years = 4.5;
  const size = { seed, years, customers: 1200, reels: 3000, loyalty: 0.75, benchMinutes: 1200, lot: 0 };
  const begins = Math.round(3 * 365);
  const { past, visits, calendar } = bareWorld(
    size,
    (visit, component, day) => {
      if (day < begins) return 1;
      if (plant === "supplier" && component === "drag" && sourceOf(visit.reel.key, visit.cameOn) === plantedSource) return 0.25;
      // One in eight of this hand's pieces is put in badly.
      if (plant === "person" && handOf(visit.reel.key, visit.cameOn) === plantedHand && drawAt(73, visit.reel.key, day) < 0.125)
        return 0.015;
      return 1;
    },
    true,
  );
  const pieces: FittedPiece[] = [];
  const readings: LeavingReading[] = [];
  const works: FinishedWork[] = [];
  const byReel = new Map<number, number[]>();
  for (const [i, visit] of visits.entries()) byReel.set(visit.reel.key, [...(byReel.get(visit.reel.key) ?? []), i]);
  for (const [reel, own] of byReel) {
    own.forEach((i, n) => {
      const visit = visits[i]!;
      const ready = past.jobs[i]!.ready;
      if (ready === null) return;
      const on = Math.floor(ready / 1440);
      const next = own[n + 1] === undefined ? null : visits[own[n + 1]!]!;
      if (visit.found.includes("drag") && !visit.declined) {
        const end = own.slice(n + 1).find((later) => visits[later]!.found.includes("drag"));
        const until =
          end === undefined
            ? Math.min(calendar.days.length, (visits[own.at(-1)!]!.cameOn === visit.cameOn ? on : visits[own.at(-1)!]!.cameOn) + 540)
            : visits[end]!.cameOn;
        pieces.push({
          source: sourceOf(reel, visit.cameOn),
          water: visit.reel.water,
          tripsPerYear: visit.reel.tripsPerYear,
          fittedOn: on,
          until: Math.max(on + 1, until),
          ended: end !== undefined,
          jobId: i + 1,
        });
      }
      if (visit.kind !== "purchase-check" && !visit.declined && visit.depth !== "light") {
        const falls = plant === "model" && visit.reel.model.family === plantedModel ? 0.85 ** Math.max(0, (on - begins) / 365) : 1;
        readings.push({
          model: visit.reel.model.id,
          reel,
          on,
          value: visit.reel.freshMu * falls * Math.exp(0.25 * (drawAt(74, i) - 0.5)),
          jobId: i + 1,
        });
        works.push({ person: handOf(reel, visit.cameOn), on, cameBackOn: next?.kind === "comeback" ? next.cameOn : null, jobId: i + 1 });
      }
    });
  }
  return { begins, pieces, readings, works, today: calendar.days.length };
}
