import { describe, expect, it } from "vitest";
import { allBuildActs } from "@/core/hands/build-acts";
import { allStripActs } from "@/core/hands/strip-acts";
import { protocolOfJob } from "@/core/intake/job-kinds";
import { carriesLoad } from "@/core/safety/carries-load";
import { asItCame } from "@/core/teardown/came-without";
import { heldIn } from "@/core/teardown/held-in";
import { isSettled, oldPieces } from "@/core/teardown/owed";
import { onceOnly } from "@/core/teardown/seal-unit";
import { oldPieceReasons } from "@/core/vocabulary/build-reasons";
import { type ComplaintId, complaints } from "@/core/vocabulary/counter-lists";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import type { DepthId } from "@/core/vocabulary/job-kinds";
import { getAccount } from "@/data/account/job-acts";
import { getBuild } from "@/data/bench/build";
import { doSteps, skipStep } from "@/data/bench/build-steps";
import { cleanedAllByHand } from "@/data/bench/cleaning";
import { listOilPoints, markOilPoints } from "@/data/bench/oil-points";
import { expectedOff, openingOf, stripGuideOf } from "@/data/bench/opening";
import { leaveIn, listWells, takeParts } from "@/data/bench/tray";
import { startModelOf } from "@/data/catalogue/built";
import { openJob } from "@/data/counter/open-job";
import { recordAllGood } from "@/data/diagnosis/observations";
import { closeJob, markReady } from "@/data/hand-back/returns";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { getQuote } from "@/data/quote/quotes";
import { stream } from "./random-stream";
import { intake, openWorkshop, plainJob, type Workshop } from "./workshop";

/**
 * Jobs that open no more than they need, on a reel of which one piece is left in by choice and one was missing when it arrived: from the first test to
 * the return without a word that anybody had to invent.
 */
function half(shop: Workshop, modelId: string, depth: DepthId, felt: readonly ComplaintId[], random: () => number) {
  const id = openJob(
    shop.ctx,
    plainJob({
      modelId,
      serial: `HO ${Math.floor(random() * 1e9)}`,
      kind: "service",
      depth,
      intake: intake({ complaints: [...felt], dragWish: "dry", handleHole: "short" }),
    }),
  ).id;
  const job = () => findJob(shop.db, id)!;
  const version = machineOf(shop.db, job());
  const { anatomy, partTypes } = version;
  const seat = new Map(anatomy.positions.map((position) => [position.id, position]));
  const tests = protocolOfJob(version.model.family, job()).map((test) => test.id);
  recordAllGood(shop.ctx, { jobId: id, phase: "before", testIds: tests });
  const one = (ids: readonly string[]) => (ids.length ? ids[Math.floor(random() * ids.length)]! : null);
  // Left in: a piece that holds little, not what opens the reel.
  const carriers = new Set(anatomy.assemblies.flatMap(({ carrier, freedBy }) => [carrier, ...(freedBy ?? [])]));
  const left = one(expectedOff(shop.db, job()).filter((seatId) => !carriers.has(seatId) && heldIn(anatomy, new Set([seatId])).size < 3));
  if (left) leaveIn(shop.ctx, id, [left], true);
  const lightly = (seatId: string) => !carriesLoad(partTypes.get(seat.get(seatId)!.partTypeId)!.role);
  const missing = one(expectedOff(shop.db, job()).filter((seatId) => lightly(seatId) && !carriers.has(seatId)));
  for (const { positionIds } of allStripActs(stripGuideOf(shop.db, job(), version, openingOf(shop.db, job(), version))))
    takeParts(shop.ctx, id, positionIds, new Set(positionIds.filter((seatId) => seatId === missing)));
  expect(getQuote(shop.db, job()).parts).toEqual([]);
  if (listWells(shop.db, id).some(({ verdict }) => verdict !== "missing")) cleanedAllByHand(shop.ctx, id);
  // Every place that gets its drop while it lies open is asked before it is shut in.
  const points = listOilPoints(shop.db, job(), version);
  const oil = (ids: readonly string[]) => {
    if (ids.length) markOilPoints(shop.ctx, id, ids, "oiled");
  };
  oil(points.filter(({ behind }) => behind.length).map(({ positionId }) => positionId));
  const { steps, batches } = getBuild(shop.db, job());
  if (missing)
    expect(
      steps.some(({ position }) => position?.id === missing),
      missing,
    ).toBe(true);
  for (const { operationIds } of allBuildActs(steps, batches, partTypes)) {
    const due = new Map(getBuild(shop.db, job()).steps.map((step) => [step.operation.id, step]));
    const off = operationIds.filter((operation) => missing !== null && due.get(operation)?.position?.id === missing);
    for (const operation of off) skipStep(shop.ctx, id, operation, asItCame);
    const rest = operationIds.filter((operation) => !off.includes(operation));
    // What cannot be done without the missing piece is asked of nobody.
    const now = off.length ? new Map(getBuild(shop.db, job()).steps.map((step) => [step.operation.id, step])) : due;
    const doable = rest.filter((operation) => now.has(operation) && !isSettled(now.get(operation)!));
    // Seals that are used once have a reason of the reel's own; nobody here has new ones.
    const old = oldPieces(doable.map((operation) => now.get(operation)!));
    const spent = old.length > 0 && old.every(({ well }) => well!.toRenew.every((why) => why === onceOnly));
    if (doable.length) doSteps(shop.ctx, id, doable, spent ? oldPieceReasons.at(-1)! : "");
  }
  oil(points.filter(({ behind }) => !behind.length).map(({ positionId }) => positionId));
  recordAllGood(shop.ctx, { jobId: id, phase: "after", testIds: tests });
  markReady(shop.ctx, id);
  closeJob(shop.ctx, id, "Ada Brook");
  const told = getAccount(shop.db, job()).sentences.map(({ words }) => words);
  // One wish for the drag and one for the handle: named where the hands came by them, and nowhere else.
  const placed = getBuild(shop.db, job()).steps.filter(({ operation, state }) => operation.kind === "place" && state === "done");
  const types = placed.map(({ position }) => partTypes.get(position!.partTypeId)!);
  expect(told.some((words) => /As the customer wished: drag dry/.test(words))).toBe(
    types.some(({ shape }) => shape.kind === "friction-washer"),
  );
  expect(told.some((words) => /As the customer wished: handle in its short/.test(words))).toBe(types.some(({ role }) => role === "handle"));
  return {
    closed: job().closedAt !== null,
    told: told.join(" "),
    left: left && told.length ? seat.get(left)!.name : null,
    missing: missing ? seat.get(missing)!.name : null,
  };
}

let letter = 0;
/** Every complaint in some family, four in each. */
const felt = (at: number): ComplaintId[] => {
  const all = Object.keys(complaints) as ComplaintId[];
  return Array.from({ length: 4 }, (_, i) => all[(at * 4 + i) % all.length]!);
};
const kindsOf = (at: number): readonly (readonly [DepthId, readonly ComplaintId[]])[] => [
  ...felt(at).map((id) => ["complaint", [id]] as const),
  ["quick", []],
  ["full", []],
  ["full", ["stiff"]],
  ["round", []],
  ["opening", []],
  ["light", []],
];

describe.each(familyIds)("%s, partly opened", (family: FamilyId) => {
  it("goes home from every kind of work with one piece left in and one not there, no reason invented, and the report names both", () => {
    const shop = openWorkshop();
    const modelId = startModelOf(shop.ctx, { maker: "Own", name: `${family} half`, family, prefix: `H${++letter}` }, {}).id;
    const random = stream(20261201 + letter);
    for (const [depth, felt] of kindsOf(familyIds.indexOf(family))) {
      const what = `${family}, ${depth} ${felt.join(" ")}`;
      let done: ReturnType<typeof half>;
      try {
        done = half(shop, modelId, depth, felt, random);
      } catch (error) {
        throw new Error(`${what}: ${error instanceof Error ? error.message : error}`, { cause: error });
      }
      expect(done.closed, what).toBe(true);
      if (done.missing)
        expect(done.told.toLowerCase(), what).toContain(`${done.missing.toLowerCase()}: not there on arrival, left off: as it came`);
      if (done.left) expect(done.told, what).toMatch(/Left in: /);
    }
  });
});
