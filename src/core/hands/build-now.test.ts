import { describe, expect, it } from "vitest";
import { anatomySchema, operationSchema, type PartType, positionSchema } from "@/core/anatomy/types";
import { everyBuild } from "@/core/families/families";
import { oilPointsOf } from "@/core/lubrication/oil-points";
import { buildOrder } from "@/core/teardown/build-order";
import { behindOf } from "@/core/teardown/oil-window";
import { planOpening } from "@/core/teardown/opening";
import { removalOrder } from "@/core/teardown/removal-order";
import { onceOnly, sealOfTheYear } from "@/core/teardown/seal-unit";
import type { Step } from "@/core/teardown/step";
import type { Well } from "@/core/teardown/well";
import { familyIds } from "@/core/vocabulary/families";
import { usualWays, type WaysInForce } from "@/core/ways/ways";
import { batchesOf } from "./batches";
import { type AtBuild, buildNow, type PointAtBuild } from "./build-now";

const found = {
  verdict: "ok",
  foundCount: 1,
  renewed: false,
  declined: false,
  unrepaired: false,
  toRenew: [],
  cleanedAt: "2026-03-02T09:00:00Z",
};
const well = (more: Partial<Well> = {}) => ({ ...found, ...more }) as unknown as Well;
const place = (id: string, change: Partial<Step> = {}): Step => ({
  operation: operationSchema.parse({ id: `place-${id}`, kind: "place", ordinal: 0, words: `Fit ${id}`, positionId: id }),
  position: positionSchema.parse({ id, assemblyId: "stack", ordinal: 0, name: id, partTypeId: id }),
  needs: [],
  state: "waiting",
  note: "",
  act: null,
  at: null,
  well: well(),
  notDue: false,
  ...change,
});
const check = (id: string, after: string[]): Step => ({
  ...place(id, { needs: after, well: null, position: null }),
  operation: operationSchema.parse({ id, kind: "gate", ordinal: 0, words: id, after }),
});
const screw = (id: string) => ({ id, role: "plate-screw", name: id, shape: { kind: "screw" } }) as unknown as PartType;
const washer = (id: string) => ({ id, role: "shim", name: id, shape: { kind: "washer" } }) as unknown as PartType;

const at = (steps: Step[], more: Partial<AtBuild<Step, PointAtBuild>> = {}): AtBuild<Step, PointAtBuild> => ({
  steps,
  points: [],
  batches: [{ id: "pair", name: "Pair", positionIds: ["a", "b"] }],
  anatomy: anatomySchema.parse({
    assemblies: [{ id: "stack", name: "Stack", side: "frame" }],
    positions: steps.flatMap(({ position }) => position ?? []),
    operations: [],
  }),
  types: new Map(["a", "b", "c"].map((id) => [id, washer(id)])),
  toClean: [],
  foreseen: [],
  ...more,
});
const key = (steps: Step[], more: Partial<AtBuild<Step, PointAtBuild>> = {}, picked: string | null = null, asItIs = false) =>
  buildNow(at(steps, more), picked === null ? null : { operationId: picked, alone: false }, asItIs).key;
const missing = { well: well({ verdict: "missing", foundCount: 0 }) };

describe("what the main key of the way back does", () => {
  it("does the act, or passes a check that can be made", () => {
    expect(key([place("a"), place("b")])).toMatchObject({ what: "done", operationIds: ["place-a", "place-b"] });
    expect(key([place("a", { state: "done" }), check("g", ["place-a"]), place("b")])).toMatchObject({
      what: "passes",
      operationIds: ["g"],
    });
  });

  it("leads to what a picked step stands on", () => {
    const steps = [place("a"), place("c", { needs: ["place-a"] })];
    expect(key(steps, {}, "place-c")).toMatchObject({ what: "first", step: { position: { id: "a" } } });
  });

  it("only looks at what is done, and never acts on it", () => {
    expect(key([place("a", { state: "done" }), place("c")], {}, "place-a")).toEqual({ what: "looking" });
  });

  it("leaves off by one press what the reel came without, and fits the rest of the handful", () => {
    expect(key([place("a"), place("b", missing)])).toMatchObject({ what: "as-it-came", rest: ["place-a"] });
    expect(key([place("a", missing)])).toMatchObject({ what: "as-it-came", rest: [] });
  });

  it("cleans and oils first what goes in beside a part the reel came without", () => {
    const steps = [place("a", { well: well({ cleanedAt: null }) }), place("b", missing), place("c", { needs: ["place-a"] })];
    expect(key(steps, { toClean: ["a"] })).toEqual({ what: "clean-first" });
    const points = [{ positionId: "y", state: "waiting", behind: ["a"] } as const];
    expect(key(steps, { points })).toMatchObject({ what: "oil" });
    expect(key([place("b", missing)], { points: [{ ...points[0]!, behind: ["b"] }] })).toMatchObject({ what: "oil" });
  });

  it("asks for a word where what is missing carries load, and for the new piece where one was ordered", () => {
    const types = new Map([...["a", "c"].map((id): [string, PartType] => [id, washer(id)]), ["b", screw("b")]]);
    const steps = [place("a"), place("b", missing)];
    expect(key(steps, { types })).toMatchObject({ what: "not-here", step: { position: { id: "b" } } });
    expect(key([place("b", missing)], { types })).toEqual({ what: "fit-new" });
    expect(key([place("a", missing)], { foreseen: ["a"] })).toEqual({ what: "fit-new" });
  });

  it("asks for a new piece before one goes in that takes it only once, and not where the new one is", () => {
    const spent = { well: well({ toRenew: [onceOnly] }) };
    expect(key([place("a", spent), place("b")])).toEqual({ what: "renew", operationIds: ["place-a", "place-b"] });
    expect(key([place("a", spent)], { toClean: ["a"] })).toMatchObject({ what: "renew" });
    // Whatever asks for the new one: a proved fault, or a rule. Done would only be refused.
    for (const why of ["gears-worn", sealOfTheYear])
      expect(key([place("a"), place("b", { well: well({ toRenew: [why] }) })])).toMatchObject({ what: "renew" });
    expect(key([place("a"), place("b")])).toMatchObject({ what: "done" });
  });

  it("asks for cleaning before a part goes back, once, and not after somebody let one go back uncleaned", () => {
    const dirty = { well: well({ cleanedAt: null }) };
    const toClean = ["a", "b"];
    expect(key([place("a", dirty), place("b", dirty)], { toClean })).toEqual({ what: "clean-first" });
    expect(key([place("a", dirty), place("b", dirty)], { toClean }, null, true)).toMatchObject({ what: "done" });
    expect(key([place("c", { ...dirty, state: "done" }), place("a", dirty), place("b", dirty)], { toClean })).toMatchObject({
      what: "done",
    });
  });

  it("goes on to Prove when all is in, over what oil still waits for", () => {
    const points = [{ positionId: "z", state: "waiting", behind: [] } as const];
    expect(key([place("a", { state: "done" })])).toEqual({ what: "to-prove" });
    expect(key([place("a", { state: "done" })], { points })).toEqual({ what: "oil-rest", positionIds: ["z"] });
  });

  it("oils what lies open before the act that shuts it in, by one press with whatever else can be reached", () => {
    const points = [
      { positionId: "y", state: "waiting", behind: ["a"] } as const,
      { positionId: "z", state: "waiting", behind: ["c"] } as const,
      { positionId: "knob", state: "waiting", behind: [] } as const,
    ];
    const steps = [place("a"), place("c", { needs: ["place-a"] })];
    const first = key(steps, { points, batches: [] });
    expect(first).toMatchObject({ what: "oil", points: [{ positionId: "y" }, { positionId: "z" }, { positionId: "knob" }] });
    const over = buildNow(at([place("a", { state: "done" }), place("c")], { points, batches: [] }), null, false);
    expect([...over.missed.keys()]).toEqual(["y"]);
  });
});

const ways = { job: {}, customer: {}, shop: usualWays } as unknown as WaysInForce;
const builds = familyIds.flatMap((family) => everyBuild(family).map(({ name, template }) => ({ family, name, template })));

describe.each(builds)("the main key alone, from a reel in pieces to Prove: $family ($name)", ({ template: { anatomy, parts } }) => {
  const types = new Map(parts.map((part) => [part.id, part]));

  /** Presses the main key until it leads to Prove. */
  function byMainKey(quick: boolean) {
    const whole = new Set(anatomy.assemblies.filter((one) => !quick || one.quick).map(({ id }) => id));
    const { off, ridesOn } = planOpening(anatomy, { whole, seats: new Set(), looked: new Set() });
    const built = buildOrder(
      anatomy,
      removalOrder(anatomy).filter((id) => off.has(id)),
    );
    if (!built.ok) throw new Error(built.message);
    let now = {
      steps: built.value.steps.map((step): Step => ({ ...place("x"), ...step, well: step.operation.kind === "place" ? well() : null })),
      points: oilPointsOf(anatomy, types, ways, { off, ridesOn, open: whole, inPlace: new Set() }).map(
        ({ positionId }): PointAtBuild => ({ positionId, state: "waiting", behind: behindOf(anatomy, positionId) }),
      ),
    };
    const batches = batchesOf(anatomy, types);
    const missed: string[] = [];
    const passed: string[] = [];
    for (let presses = 0; presses < 400; presses++) {
      const { key: main, missed: over } = buildNow({ ...now, batches, anatomy, types, toClean: [], foreseen: [] }, null, false);
      missed.push(...over.keys());
      if (main.what === "to-prove") return { ...now, missed, passed };
      if (main.what === "oil" || main.what === "oil-rest") {
        const ids = main.what === "oil" ? main.points.map(({ positionId }) => positionId) : main.positionIds;
        now = { ...now, points: now.points.map((point) => (ids.includes(point.positionId) ? { ...point, state: "oiled" } : point)) };
      } else if (main.what === "done" || main.what === "passes") {
        if (main.what === "passes") passed.push(...main.operationIds);
        now = {
          ...now,
          steps: now.steps.map((step) =>
            main.operationIds.includes(step.operation.id) ? { ...step, state: "done", at: String(presses).padStart(4, "0") } : step,
          ),
        };
      } else throw new Error(`the main key asks: ${JSON.stringify(main)}`);
    }
    throw new Error("400 presses and not at Prove");
  }

  it.each([
    ["full", false],
    ["quick", true],
  ])("%s: every step done, every check passed by itself, every place oiled while it lies open", (_, quick) => {
    const end = byMainKey(quick);
    expect(end.steps.filter(({ state }) => state !== "done")).toEqual([]);
    expect(end.points.filter(({ state }) => state !== "oiled")).toEqual([]);
    expect(end.missed).toEqual([]);
    expect(end.passed.toSorted()).toEqual(end.steps.flatMap(({ operation }) => (operation.kind === "gate" ? operation.id : [])).toSorted());
  });
});
