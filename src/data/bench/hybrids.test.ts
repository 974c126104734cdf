import { describe, expect, it } from "vitest";
import { openWorkshop, refusal, reportDates } from "#tests/workshop";
import { addPartType } from "@/data/catalogue/part-types";
import { addFault } from "@/data/diagnosis/faults";
import { getReport } from "@/data/hand-back/report";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listNeeds } from "@/data/parts/needs";
import { findStock, setBin } from "@/data/parts/stock";
import { setOffer } from "@/data/parts/suppliers";
import { getQuote } from "@/data/quote/quotes";
import { askForPart, fitFromStock } from "./fit-part";
import { overrideSeat } from "./own-part";
import { takePart } from "./tray";

const hybrid = () => {
  const shop = openWorkshop();
  addPartType(shop.ctx, {
    id: "zz-9",
    number: "ZZ-9",
    name: "Older lock screw",
    role: "lock-screw",
    shape: { kind: "screw", threadMm: 2.5, lengthMm: 5, threadedMm: 5, headMm: 4, headHeightMm: 1, drive: "slot" },
    material: "brass",
    priceMinor: 250,
  });
  setOffer(shop.ctx, { supplierId: "quay", partTypeId: "zz-9", priceMinor: 120 });
  const jobId = shop.open();
  return { ...shop, jobId, job: () => findJob(shop.db, jobId)! };
};

describe("a reel built from parts of two models", () => {
  it("shows its own part in the seat, for this reel only", () => {
    const { ctx, db, jobId, job, open } = hybrid();
    overrideSeat(ctx, jobId, "lock-screw", "zz-9");
    const partAt = (id: number) => machineOf(db, findJob(db, id)!).anatomy.positions.find((p) => p.id === "lock-screw")!.partTypeId;
    expect([partAt(jobId), partAt(open())]).toEqual(["zz-9", "sk-lock-screw"]);
    expect(machineOf(db, job()).partTypes.get("zz-9")?.name).toBe("Older lock screw");
    overrideSeat(ctx, jobId, "lock-screw", "");
    expect(partAt(jobId)).toBe("sk-lock-screw");
  });

  it("orders, quotes and reports the part it really has, also when it was wanted before anybody noticed", () => {
    const { ctx, db, jobId, job } = hybrid();
    takePart(ctx, jobId, "lock-screw");
    askForPart(ctx, jobId, "lock-screw");
    overrideSeat(ctx, jobId, "lock-screw", "ZZ-9");
    expect(listNeeds(db, { states: ["open"], jobId }).map((need) => need.number)).toEqual(["ZZ-9"]);
    expect(getQuote(db, job()).parts.map((part) => [part.partTypeId, part.priceMinor])).toEqual([["zz-9", 250]]);
    setBin(ctx, "zz-9", "Z1", 1, 0);
    fitFromStock(ctx, jobId, "lock-screw");
    expect([findStock(db, "zz-9")?.count, findStock(db, "sk-lock-screw")?.count]).toEqual([0, 2]);
    const report = getReport(db, job(), reportDates);
    expect(report.parts).toMatchObject([{ number: "ZZ-9", price: 250 }]);
    expect(refusal(() => overrideSeat(ctx, jobId, "lock-screw", "SK-262")).code).toBe("used");
  });

  it("foresees its own part for a fault", () => {
    const { ctx, db, jobId, job } = hybrid();
    overrideSeat(ctx, jobId, "dog-spring", "ZZ-9");
    addFault(ctx, jobId, "dog-spring-off", "");
    // The older part has another role, so the remedy's role finds nothing: it is not foreseen under a wrong number.
    expect(getQuote(db, job()).parts).toEqual([]);
  });

  it("refuses a number the catalogue does not have, at its field", () => {
    const { ctx, jobId } = hybrid();
    expect(refusal(() => overrideSeat(ctx, jobId, "lock-screw", "NOPE"))).toMatchObject({ code: "no-part", field: "number" });
    expect(refusal(() => overrideSeat(ctx, jobId, "nothing", "ZZ-9")).code).toBe("no-seat");
  });
});
