import { describe, expect, it } from "vitest";
import { answer, openWorkshop, refusal } from "#tests/workshop";
import { families } from "@/core/families/families";
import { doStep } from "@/data/bench/build-steps";
import { getCurrentModelVersion, getModelVersion } from "@/data/catalogue/models";
import { addModelVersion } from "@/data/catalogue/write-model";
import { closeJob, markReady } from "@/data/hand-back/returns";
import { findJob } from "@/data/jobs/jobs";
import { getBuild } from "./build";
import {
  addUnknownModel,
  expectedOfJob,
  listLooseParts,
  listUnseated,
  makeSchematic,
  nameLoosePart,
  putLooseBack,
  serveLooseInPlace,
  takeLoosePart,
} from "./loose-parts";
import { listOilPoints, markOilPoints } from "./oil-points";
import { openingOf } from "./opening";
import { expectedNext, listWells, takePart } from "./tray";
import { listInPlace } from "./ways";

const unknownReel = () => {
  const shop = openWorkshop();
  const modelId = addUnknownModel(shop.ctx, { maker: "Not known", name: "brass multiplier, about 1950", family: "star-drag-bridge" });
  return { ...shop, modelId, jobId: shop.open({ modelId, serial: "" }) };
};

describe("a reel without a schematic", () => {
  it("comes apart by kinds alone, becomes a schematic in one act, and goes home by it", () => {
    const { ctx, db, jobId, modelId } = unknownReel();
    for (const kind of ["screw", "screw", "plate", "gear", "spool"] as const) takeLoosePart(ctx, jobId, kind);
    putLooseBack(ctx, jobId);
    takeLoosePart(ctx, jobId, "spool");
    nameLoosePart(ctx, jobId, 3, "Tail plate");
    expect(listLooseParts(db, jobId).map((part) => part.kind)).toEqual(["screw", "screw", "plate", "gear", "spool"]);

    makeSchematic(ctx, jobId);
    const version = getModelVersion(db, findJob(db, jobId)!.modelVersionId);
    expect(version.number).toBe(2);
    expect(version.anatomy.positions.map((position) => position.name).sort()).toEqual([
      "Gear",
      "Screw 1",
      "Screw 2",
      "Spool",
      "Tail plate",
    ]);
    expect(listWells(db, jobId).map((well) => well.positionId)).toEqual(["part-1", "part-2", "part-3", "part-4", "part-5"]);

    for (const step of getBuild(db, findJob(db, jobId)!).steps) doStep(ctx, jobId, step.operation.id);
    answer(ctx, jobId, "turning", "good", null, "after");
    markReady(ctx, jobId);
    closeJob(ctx, jobId, "Ada");

    // The next of the kind is stripped by what the first taught.
    expect(getCurrentModelVersion(db, modelId).number).toBe(2);
  });

  it("serves the next reel of the model", () => {
    const shop = unknownReel();
    for (const kind of ["nut", "handle"] as const) takeLoosePart(shop.ctx, shop.jobId, kind);
    makeSchematic(shop.ctx, shop.jobId);
    const next = shop.open({ modelId: shop.modelId, serial: "" });
    expect(expectedNext(shop.db, findJob(shop.db, next)!)).toEqual(["part-1", "part-2"]);
    takePart(shop.ctx, next, "part-1");
  });

  it("grows by its later half, which came off after it and goes in before it, on this reel or on the next", () => {
    const shop = unknownReel();
    const { ctx, db, jobId, modelId } = shop;
    const seats = (id: number) => getModelVersion(db, findJob(db, id)!.modelVersionId).anatomy.positions.map((seat) => seat.id);
    for (const kind of ["nut", "handle"] as const) takeLoosePart(ctx, jobId, kind);
    makeSchematic(ctx, jobId);
    for (const kind of ["plate", "gear"] as const) takeLoosePart(ctx, jobId, kind);
    expect(listUnseated(db, jobId).map(({ well }) => well)).toEqual([3, 4]);
    makeSchematic(ctx, jobId);
    expect(listUnseated(db, jobId)).toEqual([]);
    expect(seats(jobId)).toEqual(expect.arrayContaining(["part-1", "part-2", `part-${jobId}-3`, `part-${jobId}-4`]));
    expect(listWells(db, jobId).map(({ well }) => well)).toEqual([1, 2, 3, 4]);
    const order = getBuild(db, findJob(db, jobId)!).steps.flatMap(({ position }) => position?.id ?? []);
    expect(order).toEqual([`part-${jobId}-4`, `part-${jobId}-3`, "part-2", "part-1"]);

    const next = shop.open({ modelId, serial: "" });
    takePart(ctx, next, "part-1");
    takeLoosePart(ctx, next, "spool");
    makeSchematic(ctx, next);
    expect(listWells(db, next).map(({ positionId, well }) => [positionId, well])).toEqual([
      ["part-1", 1],
      [`part-${next}-1`, 2],
    ]);
    expect(getCurrentModelVersion(db, modelId).anatomy.positions).toHaveLength(5);
  });

  it("grows no more once somebody has confirmed a seat of it", () => {
    const { ctx, db, jobId, modelId, open } = unknownReel();
    takeLoosePart(ctx, jobId, "screw");
    makeSchematic(ctx, jobId);
    const { anatomy, lineRadiusMm } = getModelVersion(db, findJob(db, jobId)!.modelVersionId);
    const confirmed = { ...anatomy, positions: anatomy.positions.map((seat) => ({ ...seat, guessed: false })) };
    addModelVersion(ctx, modelId, { lineRadiusMm, anatomy: confirmed });
    const next = open({ modelId, serial: "" });
    expect(refusal(() => takeLoosePart(ctx, next, "screw")).code).toBe("has-schematic");
    expect(refusal(() => makeSchematic(ctx, next)).code).toBe("has-schematic");
  });

  it("says what is missing or already there", () => {
    const { ctx, jobId } = unknownReel();
    expect(refusal(() => makeSchematic(ctx, jobId)).code).toBe("empty");
    expect(refusal(() => putLooseBack(ctx, jobId)).code).toBe("empty");
    expect(refusal(() => nameLoosePart(ctx, jobId, 4, "x")).code).toBe("no-well");
    expect(refusal(() => takeLoosePart(ctx, jobId, "nonsense" as "screw")).code).toBe("no-kind");
    takeLoosePart(ctx, jobId, "screw");
    makeSchematic(ctx, jobId);
    expect(refusal(() => makeSchematic(ctx, jobId)).code).toBe("has-schematic");
  });

  it("is one model however often it is typed", () => {
    const { ctx } = unknownReel();
    const twice = { maker: "Not known", name: "brass multiplier, about 1950", family: "star-drag-bridge" } as const;
    expect(addUnknownModel(ctx, twice)).toBe(addUnknownModel(ctx, twice));
  });
});

describe("a reel without a schematic keeps its family", () => {
  it("takes a ring of screws with its side in one press, more or fewer where said, and gives all of it back as one", () => {
    const { ctx, db, jobId } = unknownReel();
    const piece = (name: string) => expectedOfJob(db, jobId, families["star-drag-bridge"]).find((one) => one.name.includes(name))!;
    expect(piece("Head plate screws").left).toHaveLength(4);
    expect(takeLoosePart(ctx, jobId, { kind: "screw", pieceId: piece("Head plate screws").id })).toEqual({ well: 1, count: 4 });
    expect(piece("Head plate screws").left).toHaveLength(0);
    expect(listLooseParts(db, jobId).map(({ act, side }) => [act, side])).toEqual([1, 1, 1, 1].map((act) => [act, "handle"]));
    putLooseBack(ctx, jobId);
    expect(listLooseParts(db, jobId)).toEqual([]);
    takeLoosePart(ctx, jobId, { kind: "screw", pieceId: piece("Tail plate screws").id, count: 6 });
    expect(listLooseParts(db, jobId).filter(({ seat }) => seat === null)).toHaveLength(2);
    takeLoosePart(ctx, jobId, { kind: "washer", count: 2, side: "tail" });
    expect(
      listLooseParts(db, jobId)
        .slice(-2)
        .map(({ side }) => side),
    ).toEqual(["tail", "tail"]);
    expect(refusal(() => takeLoosePart(ctx, jobId, { kind: "screw", pieceId: "none" })).code).toBe("no-kind");
  });

  it("brings its oil, traps, cautions and checks along, serves what stays in, and goes home by them", () => {
    const { ctx, db, jobId, modelId, open } = unknownReel();
    for (const piece of expectedOfJob(db, jobId, families["star-drag-bridge"]))
      for (let left = piece.left.length; left > 0; ) left -= takeLoosePart(ctx, jobId, { kind: piece.kind, pieceId: piece.id }).count;
    const frame = listLooseParts(db, jobId).find(({ seat }) => seat === "tail-bearing")!;
    serveLooseInPlace(ctx, jobId, frame.well, "stays in");
    expect(refusal(() => serveLooseInPlace(ctx, jobId, 999, "x")).code).toBe("no-well");
    makeSchematic(ctx, jobId);
    const { anatomy } = getModelVersion(db, findJob(db, jobId)!.modelVersionId);
    const own = families["star-drag-bridge"].anatomy;
    expect(anatomy.positions).toHaveLength(own.positions.length);
    const named = (name: string) => anatomy.positions.find((seat) => seat.name === name)!;
    for (const seat of own.positions)
      expect(named(seat.name)).toMatchObject({
        ...(seat.lubricant ? { lubricant: seat.lubricant } : {}),
        ...(seat.trap ? { trap: seat.trap } : {}),
        ...(seat.caution ? { caution: seat.caution } : {}),
      });
    const gates = (operations: readonly { kind: string; words: string }[]) =>
      operations.filter(({ kind }) => kind === "gate").map(({ words }) => words);
    expect(gates(anatomy.operations).sort()).toEqual(gates(own.operations).sort());
    expect(anatomy.assemblies.map(({ name }) => name)).toEqual(["Handle side", "Tail side", "Frame"]);
    expect(listInPlace(db, jobId)).toEqual([{ positionId: `part-${frame.well}`, reason: "stays in" }]);
    expect(listWells(db, jobId).some(({ positionId }) => positionId === `part-${frame.well}`)).toBe(false);
    const { steps } = getBuild(db, findJob(db, jobId)!);
    expect(steps.filter(({ operation }) => operation.kind === "gate")).toHaveLength(gates(own.operations).length);
    const points = listOilPoints(db, findJob(db, jobId)!).map(({ positionId }) => positionId);
    expect(points).toContain(`part-${frame.well}`);
    markOilPoints(ctx, jobId, points, "oiled");
    for (const step of steps) doStep(ctx, jobId, step.operation.id);
    answer(ctx, jobId, "turning", "good", null, "after");
    markReady(ctx, jobId);
    closeJob(ctx, jobId, "Ada");
    // The second such reel comes apart in the same handfuls.
    const next = open({ modelId, serial: "", kind: "service", depth: "full" });
    const { batches } = openingOf(db, findJob(db, next)!);
    expect(batches.some(({ name }) => name === "Head plate screws")).toBe(true);
  });
});
