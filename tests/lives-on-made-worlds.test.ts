import { describe, expect, it } from "vitest";
import { bareWorld } from "#demo/world/bare-world";
import { wearTable } from "#demo/world/wear";
import { dueFromLives, dueShare, livesOfComponent, type VisitSeen } from "@/core/survival/component-lives";

const visit = (change: Partial<VisitSeen>): VisitSeen => ({
  jobId: 1,
  reelId: 1,
  modelId: "m",
  family: "f",
  water: "salt",
  tripsPerYear: 36.525,
  came: 0,
  left: 10,
  served: new Set(["drag"]),
  found: new Set(),
  ...change,
});

describe("lives between visits", () => {
  it("begin where a visit leaves the component fresh, end where it is found worn, and are cut off where it is good", () => {
    const lives = livesOfComponent(
      [
        visit({}),
        visit({ jobId: 2, came: 110, left: 120 }),
        visit({ jobId: 3, came: 220, left: 230, served: new Set(), found: new Set() }),
        visit({ jobId: 4, came: 320, left: 330, found: new Set(["drag"]) }),
      ],
      "drag",
      430,
    );
    // A visit that did not look at it tells nothing of it.
    expect(lives.map(({ time, ended, jobId }) => [Math.round(time * 100) / 100, ended, jobId])).toEqual([
      [10, false, 2],
      [20, true, 4],
      [10, false, 4],
    ]);
  });

  it("of a reel that did not come back are cut off after a year and a half", () => {
    const [life] = livesOfComponent([visit({})], "drag", 10_000);
    expect(life!.time).toBeCloseTo(54, 0);
    expect(life!.ended).toBe(false);
  });
});

describe("when a component is due", () => {
  const of = { modelId: "m", family: "f", water: "salt" };
  it("is the rule of thumb where nothing is known", () => {
    const { trips, reels } = dueFromLives([], of, 30);
    expect(trips).toBeCloseTo(30, 1);
    expect(reels).toBe(0);
  });

  it("goes to what is seen by how much is seen, and takes no other water", () => {
    const seen = (n: number, time: number, water = "salt") =>
      Array.from({ length: n }, (_, i) => ({
        time: time * (0.7 + (0.6 * ((i * 7) % 10)) / 10),
        ended: true,
        modelId: "m",
        family: "f",
        water,
        reelId: i,
        jobId: i,
      }));
    const [few, many] = [dueFromLives(seen(3, 90), of, 30), dueFromLives(seen(200, 90), of, 30)];
    expect(few.trips).toBeGreaterThan(30);
    expect(few.trips).toBeLessThan(many.trips);
    expect(many.low).toBeGreaterThan(60);
    expect(many.high - many.low).toBeLessThan(few.high - few.low);
    expect(dueFromLives(seen(200, 90, "fresh"), of, 30).trips).toBeCloseTo(30, 1);
  });

  // The world's own truth, which no forecast reads: from the visits of twelve years alone its lives come back.
  it("recovers the lives of the world's components from its visits", () => {
    const { visits, calendar } = bareWorld(
      { seed: 31, years: 12, customers: 700, reels: 1400, loyalty: 0.9, benchMinutes: 3000, lot: 0 },
      undefined,
      true,
    );
    const seen = visits
      .filter(({ declined, kind }) => !declined && kind !== "purchase-check")
      .map(
        ({ reel, cameOn, promisedOn, depth, found, kind }, jobId): VisitSeen => ({
          jobId,
          reelId: reel.key,
          modelId: reel.model.id,
          family: reel.model.family,
          water: reel.water,
          tripsPerYear: reel.tripsPerYear,
          came: cameOn,
          left: Math.min(promisedOn, cameOn + 8),
          served: new Set(
            reel.components
              .filter(({ spec }) => found.includes(spec.id) || (spec.renews.length === 0 && depth !== "light" && kind !== "repair"))
              .map(({ spec }) => spec.id),
          ),
          found: new Set(found),
        }),
      );
    const rows = ["drag", "grease", "spool-bearing"].flatMap((id) =>
      (["salt", "fresh"] as const).map((water) => {
        const spec = wearTable.find((one) => one.id === id)!;
        const median = spec.medianTrips * (water === "salt" ? spec.saltShare : 1);
        // What the world draws: lives of a Weibull law with this median and shape.
        const truth = median * (-Math.log(1 - dueShare) / Math.LN2) ** (1 / spec.shape);
        const lives = livesOfComponent(seen, id, calendar.days.length);
        const { trips, ended } = dueFromLives(lives, { modelId: "", family: "", water }, truth * 2);
        return { id, water, truth, trips, ended };
      }),
    );
    for (const { id, water, truth, trips, ended } of rows) {
      expect(ended, `${id} ${water}`).toBeGreaterThan(60);
      // An end is noticed some weeks after it came, and a service cuts lives off: within a quarter, from a rule of thumb that was twice too long.
      expect(Math.abs(Math.log(trips / truth)), `${id} in ${water}: ${trips.toFixed(0)} for ${truth.toFixed(0)} trips`).toBeLessThan(0.25);
    }
  });
});
