import { expect, it } from "vitest";
import { builtAndReturned } from "#tests/whole-service";
import { openWorkshop, refusal } from "#tests/workshop";
import { addUnknownModel, makeSchematic, takeLoosePart } from "@/data/bench/loose-parts";
import { listModelsWithCounts } from "@/data/catalogue/model-list";
import { findModel } from "@/data/catalogue/models";
import { seenModelName } from "@/data/catalogue/write-model";
import { findAnything } from "@/data/database/find";
import { findJob } from "@/data/jobs/jobs";
import { renameModel } from "./name-model";

it("a model taken in as not known is named, and its reels and jobs are found by that name, not by the old one", () => {
  const shop = openWorkshop();
  const modelId = addUnknownModel(shop.ctx, { maker: "Not known", name: "grandfather reel", family: "star-drag-bridge" });
  const id = shop.open({ modelId, serial: "Q7" });
  const seen = seenModelName(findModel(shop.db, modelId)!);
  renameModel(shop.ctx, modelId, { maker: "Penhallow", name: "Kestrel 4", seen });
  expect(findJob(shop.db, id)!.reel.modelName).toBe("Penhallow Kestrel 4");
  expect(
    findAnything(shop.db, "Kestrel", 10)
      .map(({ kind }) => kind)
      .sort(),
  ).toEqual(["job", "model", "reel"]);
  expect(findAnything(shop.db, "grandfather", 10)).toEqual([]);
  expect(refusal(() => renameModel(shop.ctx, modelId, { maker: "Marrowby", name: "Skerry 30", seen: null })).code).toBe("name-taken");
  expect(refusal(() => renameModel(shop.ctx, modelId, { maker: "Penhallow", name: "Kestrel 5", seen })).code).toBe("changed-elsewhere");
});

it("a model is not verified until a reel of it was taken apart by its schematic and went home", () => {
  const shop = openWorkshop();
  const modelId = addUnknownModel(shop.ctx, { maker: "Not known", name: "grandfather reel", family: "star-drag-bridge" });
  const verified = () => listModelsWithCounts(shop.db, { limit: 9, offset: 0, only: [modelId] })[0]!.verified;
  const id = shop.open({ modelId, serial: "Q7", kind: "service", depth: "full" });
  for (const kind of ["screw", "plate", "spool"] as const) takeLoosePart(shop.ctx, id, kind);
  makeSchematic(shop.ctx, id);
  expect(verified()).toBe(false);
  builtAndReturned(shop, id);
  expect(verified()).toBe(true);
});
