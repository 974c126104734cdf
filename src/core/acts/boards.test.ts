import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { buildOrder } from "@/core/teardown/build-order";
import { removalOrder } from "@/core/teardown/removal-order";
import { buildBoard, oilBoard } from "./build/board";
import { lotBoard } from "./lot/board";
import { walkBoard } from "./stores/board";
import { stripBoard } from "./strip/board";
import { looseBoard } from "./strip/loose-board";
import { testBoard } from "./test/board";

/** A press as a page makes it: the act's name, and what it is told. */
const press = (act: string, input: object, id = "p-1") => ({ id, act, input: { jobId: 1, ...input } });
const { anatomy } = families["star-drag-bridge"];
const seats = new Map(anatomy.positions.map((position) => [position.id, position]));
const [a, b, c] = anatomy.positions.map(({ id }) => id) as [string, string, string];

describe("the tray, as a press leaves it", () => {
  const board = stripBoard(seats);
  const empty = { wells: [], inPlace: [] } as Parameters<typeof board>[0];
  const take = (positionIds: string[], more: object = {}) => press("take-parts", { positionIds, ...more });
  const lying = (state: typeof empty) => state.wells.map(({ positionId, well, place }) => [positionId, well, place]);

  it("has what came off by one act in one well, in its order, and the next act in the next", () => {
    const state = board(board(empty, take([a, b])), take([c]));
    expect(lying(state)).toEqual([
      [a, 1, 1],
      [b, 1, 2],
      [c, 2, 1],
    ]);
    expect(state.wells[0]).toMatchObject({ orientation: seats.get(a)!.orientation ?? "", verdict: "ok", foundCount: 1 });
  });

  it("takes nothing twice: a press that the tray has already changes nothing", () => {
    const once = board(empty, take([a]));
    expect(board(once, take([a]))).toBe(once);
    // What of it is new comes off, and no number is left out.
    expect(lying(board(once, take([a, b])))).toEqual([
      [a, 1, 1],
      [b, 2, 1],
    ]);
  });

  it("says of a part that was not there that it is missing, and of no other", () => {
    const state = board(empty, take([a, b], { absent: [b] }));
    expect(state.wells.map(({ verdict, foundCount }) => [verdict, foundCount])).toEqual([
      ["ok", 1],
      ["missing", 0],
    ]);
  });

  it("gives back what is named, and nothing where nothing is", () => {
    const state = board(board(empty, take([a, b])), take([c]));
    expect(lying(board(state, press("put-back", { positionIds: [c] }))).map(([id]) => id)).toEqual([a, b]);
    expect(board(state, press("put-back", {})).wells).toHaveLength(3);
  });

  it("knows what is served where it sits by its last reason, until it comes off after all", () => {
    const served = board(empty, press("serve-in-place", { positionId: a, reason: "press fit" }));
    const again = board(served, press("serve-in-place", { positionId: a, reason: "pinned" }));
    expect(again.inPlace).toEqual([{ positionId: a, reason: "pinned" }]);
    expect(board(again, take([b])).inPlace).toHaveLength(1);
    expect(board(again, take([a])).inPlace).toEqual([]);
  });

  it("leaves in what was chosen, several at once and without a reason, and takes it back", () => {
    const left = board(board(empty, take([c])), press("leave-in", { positionIds: [a, b, c], stays: true }));
    // What lies in the tray is out already.
    expect(left.inPlace).toEqual([a, b].map((positionId) => ({ positionId, reason: "" })));
    expect(board(left, press("leave-in", { positionIds: [a], stays: false })).inPlace).toEqual([{ positionId: b, reason: "" }]);
    const said = board(empty, press("serve-in-place", { positionId: a, reason: "press fit" }));
    expect(board(said, press("leave-in", { positionIds: [a], stays: true })).inPlace).toEqual([{ positionId: a, reason: "" }]);
  });

  it("is changed by no act of another station", () => {
    const state = board(empty, take([a]));
    expect(board(state, press("steps-done", { operationIds: ["x"] }))).toBe(state);
  });
});

describe("a tray without a drawing", () => {
  const piece = {
    id: "side-screws",
    name: "Side plate screw",
    kind: "screw",
    side: "tail",
    seats: ["s-1", "s-2", "s-3"],
  } as unknown as Parameters<typeof looseBoard>[0][number];
  const board = looseBoard([piece]);
  const take = (well: number, more: object = {}) => press("loose-take", { kind: "screw", well, ...more });

  it("takes one of a kind, or as many of a usual piece as were said, each in its own well", () => {
    const tray = board(board([], take(1)), take(2, { pieceId: "side-screws", count: 2 }));
    expect(tray.map(({ well, seat, act }) => [well, seat, act])).toEqual([
      [1, null, 1],
      [2, "s-1", 2],
      [3, "s-2", 2],
    ]);
    expect(tray.map(({ label }) => label).slice(1)).toEqual(["Side plate screw", "Side plate screw"]);
    expect(tray[0]!.label).toMatch(/screw/i);
  });

  it("takes nothing for a press that the tray has, and gives back a whole press at once", () => {
    const tray = board([], take(1, { pieceId: "side-screws", count: 2 }));
    expect(board(tray, take(1))).toBe(tray);
    expect(board(tray, take(2))).toBe(tray);
    expect(board(tray, take(3))).toHaveLength(3);
    expect(board(tray, press("loose-put-back", { well: 2 }))).toEqual([]);
    expect(board(tray, press("loose-put-back", { well: 1 }))).toBe(tray);
  });
});

describe("what the tests said", () => {
  const none = { observations: [], skipped: [] } as Parameters<typeof testBoard>[0];
  const answer = (testId: string, verdict: string, more: object = {}) =>
    press("test", {
      phase: "before",
      testId,
      verdict,
      value: null,
      lineRadiusMm: null,
      instrument: "by hand",
      simulated: false,
      trace: null,
      ...more,
    });

  it("is the newest answer to each, before and after kept apart", () => {
    const state = [answer("turning", "bad"), answer("turning", "good"), answer("turning", "good", { phase: "after" })].reduce(
      testBoard,
      none,
    );
    expect(state.observations.map(({ phase, verdict }) => [phase, verdict])).toEqual([
      ["before", "good"],
      ["after", "good"],
    ]);
  });

  it("is an answer where a test that was left out is made after all, and both never", () => {
    const skipped = testBoard(none, press("skip-test", { phase: "before", testId: "turning", reason: "seized" }));
    expect(skipped.skipped).toHaveLength(1);
    const made = testBoard(skipped, answer("turning", "bad"));
    expect([made.skipped.length, made.observations.length]).toEqual([0, 1]);
    // Another phase's stays left out.
    expect(testBoard(skipped, answer("turning", "bad", { phase: "after" })).skipped).toHaveLength(1);
  });

  it("is left out once, for the last reason", () => {
    const skip = (reason: string) => press("skip-test", { phase: "before", testId: "turning", reason });
    expect([skip("seized"), skip("no handle")].reduce(testBoard, none).skipped.map(({ reason }) => reason)).toEqual(["no handle"]);
  });

  it("is good for each that is told so, by hand", () => {
    const state = testBoard(none, press("tests-all-good", { phase: "after", testIds: ["turning", "click"] }));
    expect(state.observations.map(({ testId, verdict, instrument }) => [testId, verdict, instrument])).toEqual([
      ["turning", "good", "by hand"],
      ["click", "good", "by hand"],
    ]);
  });
});

describe("the steps of a build", () => {
  const built = buildOrder(anatomy, removalOrder(anatomy));
  if (!built.ok) throw new Error(built.message);
  const steps = built.value.steps.map((step) => ({
    ...step,
    state: "waiting" as const,
    note: "",
    act: null,
    at: null,
    well: null,
    notDue: false,
  }));
  const [first, second, third] = steps.map(({ operation }) => operation.id) as [string, string, string];
  const board = buildBoard<Parameters<ReturnType<typeof buildBoard>>[0][number]>();
  const at = (state: ReturnType<typeof board>) =>
    state.filter((step) => step.state !== "waiting").map(({ operation, state: of, act }) => [operation.id, of, act]);

  it("are done by acts of the hand, and an undo takes back all of one act and nothing else", () => {
    const done = board(
      board(steps, press("steps-done", { operationIds: [first, second] })),
      press("steps-done", { operationIds: [third] }, "p-2"),
    );
    expect(at(done)).toEqual([
      [first, "done", first],
      [second, "done", first],
      [third, "done", third],
    ]);
    expect(at(board(done, press("step-undone", { operationId: second })))).toEqual([[third, "done", third]]);
    expect(at(board(steps, press("step-undone", { operationId: first })))).toEqual([]);
  });

  it("stay in the act they were done in when they are pressed again", () => {
    const done = board(steps, press("steps-done", { operationIds: [first, second] }));
    expect(at(board(done, press("steps-done", { operationIds: [second] }, "p-2")))).toEqual(at(done));
  });

  it("are failed or left for later one by one", () => {
    expect(at(board(steps, press("gate-failed", { operationId: second })))).toEqual([[second, "failed", second]]);
    expect(at(board(steps, press("step-skipped", { operationId: second })))).toEqual([[second, "skipped", second]]);
  });

  it("have their oil points marked, and marked anew only where something changes", () => {
    const points = [
      { positionId: a, state: "waiting" as const },
      { positionId: b, state: "oiled" as const },
    ];
    const oil = oilBoard<{ positionId: string; state: "waiting" | "oiled" | "left-out"; why?: "moist" | null }>();
    const left = oil(points, press("oil-points", { positionIds: [a], state: "left-out", why: "moist" }));
    expect(left.map(({ why }) => why ?? null)).toEqual(["moist", ...points.slice(1).map(() => null)]);
    // What is oiled after all has no reason left.
    expect(oil(left, press("oil-points", { positionIds: [a], state: "oiled" }))[0]).toMatchObject({ state: "oiled", why: null });
    const marked = oil(points, press("oil-points", { positionIds: [a, b], state: "oiled" }));
    expect(marked.map(({ state }) => state)).toEqual(["oiled", "oiled"]);
    expect(marked[1]).toBe(points[1]);
    expect(oil(points, press("oil-points", { positionIds: [b], state: "left-out" })).map(({ state }) => state)).toEqual([
      "waiting",
      "left-out",
    ]);
  });
});

describe("a lot and a walk", () => {
  it("change the one reel, and the one bin, a press is about", () => {
    const reels = [1, 2].map((jobId) => ({ jobId, verdicts: {}, settled: { worn: true } as Record<string, boolean> }));
    const board = lotBoard();
    const tested = board(reels, press("test", { jobId: 2, phase: "before", testId: "turning", verdict: "bad" }));
    expect(tested.map(({ verdicts }) => verdicts)).toEqual([{}, { turning: "bad" }]);
    const settled = (proved: boolean | null) =>
      board(reels, press("settle-fault", { jobId: 2, faultId: "worn", proved })).map((reel) => reel.settled);
    expect(settled(false)).toEqual([{ worn: true }, { worn: false }]);
    expect(settled(null)).toEqual([{ worn: true }, {}]);
    const bins = ["x", "y"].map((id) => ({ type: { id }, count: 3 }));
    expect(walkBoard()(bins, press("count-bin", { partTypeId: "y", count: 0 })).map(({ count }) => count)).toEqual([3, 0]);
  });
});
