import { describe, expect, it } from "vitest";
import { answer, openWorkshop, refusal } from "#tests/workshop";
import { getCurrentModelVersion, getModelVersion } from "@/data/catalogue/models";
import { closeJob, markReady } from "@/data/hand-back/returns";
import { findJob } from "@/data/jobs/jobs";
import { doStep, getBuild } from "./build";
import { addUnknownModel, listLooseParts, makeSchematic, nameLoosePart, putLooseBack, takeLoosePart } from "./loose-parts";
import { expectedNext, listWells, takePart } from "./tray";

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
    expect(refusal(() => takeLoosePart(shop.ctx, next, "screw")).code).toBe("has-schematic");
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
