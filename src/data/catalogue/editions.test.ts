import { beforeEach, describe, expect, it } from "vitest";
import { skerry30Anatomy } from "#demo/models/skerry-30";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { getBuild } from "@/data/bench/build";
import { chooseEdition } from "@/data/bench/choose-edition";
import { expectedNext, takePart } from "@/data/bench/tray";
import { addModelVersion } from "@/data/catalogue/write-model";
import type { Db } from "@/data/database/database";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { editionOfReel, readSerial, saveSerialRules } from "./editions";
import { getModelVersion } from "./models";

let shop: Workshop;
let db: Db;
beforeEach(() => {
  shop = openWorkshop();
  db = shop.db;
  // The demo's reel as it was before its dog had a spring of its own, and since.
  addModelVersion(shop.ctx, "skerry-30", {
    lineRadiusMm: 24,
    anatomy: {
      ...skerry30Anatomy,
      editions: [
        { id: "coil", name: "Coil dog spring", fromYear: 1988, mark: "a coil behind the dog" },
        { id: "bare", name: "No under-gear washer", toYear: 1987 },
      ],
      positions: skerry30Anatomy.positions.map((p) => (p.id === "under-gear-washer" ? { ...p, editions: ["coil"] } : p)),
    },
  });
  saveSerialRules(shop.ctx, "Marrowby", [
    { pattern: "MS{YY}#####", fromYear: 1970, toYear: 2030, lettersLeftOut: "", note: "", modelId: null },
  ]);
});

const seats = (jobId: number) => machineOf(db, findJob(db, jobId)!).anatomy.positions.map((p) => p.id);

describe("editions on the bench", () => {
  it("are from the serial, pinned when the job is opened, and followed by tray and build", () => {
    const early = shop.open({ serial: "MS83 00417" });
    const late = shop.open({ serial: "MS91 00417" });
    expect(seats(early)).not.toContain("under-gear-washer");
    expect(seats(late)).toContain("under-gear-washer");
    const job = findJob(db, early)!;
    expect(expectedNext(db, job)).not.toContain("under-gear-washer");
    expect(getBuild(db, job).conflict).toBeNull();
    // A rule that is written anew later changes nothing of what hangs here.
    saveSerialRules(shop.ctx, "Marrowby", [{ pattern: "*", fromYear: 1990, toYear: 1990, lettersLeftOut: "", note: "", modelId: null }]);
    expect(seats(early)).not.toContain("under-gear-washer");
  });

  it("are an assumption without a serial, and shown as one", () => {
    const id = shop.open({ serial: "" });
    const job = findJob(db, id)!;
    const version = getModelVersion(db, job.modelVersionId);
    expect(editionOfReel(db, job.reel, version.model, version.anatomy)).toMatchObject({ source: "assumed", edition: { id: "coil" } });
  });

  it("can be chosen by what is seen, and not against a part that lies in the tray", () => {
    const id = shop.open({ serial: "MS91 00417" });
    for (const seat of expectedNext(db, findJob(db, id)!)) takePart(shop.ctx, id, seat);
    expect(refusal(() => chooseEdition(shop.ctx, id, "bare"))).toMatchObject({ code: "in-tray" });
    expect(seats(id)).toContain("under-gear-washer");
    const other = shop.open({ serial: "MS91 00418" });
    chooseEdition(shop.ctx, other, "bare");
    expect(seats(other)).not.toContain("under-gear-washer");
    chooseEdition(shop.ctx, other, null);
    expect(seats(other)).toContain("under-gear-washer");
    expect(refusal(() => chooseEdition(shop.ctx, other, "never"))).toMatchObject({ code: "no-edition" });
  });

  it("are told by the rule of the one model before the rule of all", () => {
    saveSerialRules(shop.ctx, "Marrowby", [
      { pattern: "*", fromYear: 1980, toYear: 1980, lettersLeftOut: "", note: "", modelId: null },
      { pattern: "MS*", fromYear: 1995, toYear: 1995, lettersLeftOut: "", note: "", edition: "coil", modelId: "skerry-30" },
    ]);
    expect(readSerial(db, { id: "skerry-30", maker: "Marrowby" }, "MS1")).toEqual({ year: 1995, editionId: "coil" });
    expect(readSerial(db, { id: "skerry-40x", maker: "Marrowby" }, "MS1")).toEqual({ year: 1980, editionId: null });
    expect(readSerial(db, { id: "cairn-20", maker: "Hallowick" }, "MS1")).toBeNull();
  });
});
