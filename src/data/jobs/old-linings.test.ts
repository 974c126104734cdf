import { describe, expect, it } from "vitest";
import { intake, openWorkshop, reportDates, type Workshop } from "#tests/workshop";
import { saying } from "@/core/account/sentences";
import { lubricantFor } from "@/core/lubrication/lubricant-for";
import { mayBeAsbestos } from "@/core/safety/linings";
import { fitFromElsewhere } from "@/data/bench/fit-part";
import { sayLining } from "@/data/bench/linings";
import { overrideSeat } from "@/data/bench/own-part";
import { takeParts } from "@/data/bench/tray";
import { waysOf } from "@/data/bench/ways";
import type { NewJob } from "@/data/counter/open-job";
import { addFault } from "@/data/diagnosis/faults";
import { getReport } from "@/data/hand-back/report";
import { findJob } from "@/data/jobs/jobs";
import { wantedPart } from "@/data/parts/quote-parts";
import { getQuote } from "@/data/quote/quotes";
import { machineOf } from "./machine";

const linings = (shop: Workshop, id: number) => {
  const { anatomy, partTypes } = machineOf(shop.db, findJob(shop.db, id)!);
  return anatomy.positions
    .filter(({ partTypeId }) => mayBeAsbestos(partTypes.get(partTypeId)!))
    .map((seat) => seat.id)
    .sort();
};

/** The report's cautions of a job, and what goes on its linings. */
const told = (shop: Workshop, id: number) => {
  const job = findJob(shop.db, id)!;
  const version = machineOf(shop.db, job);
  const seats = version.anatomy.positions.filter(({ partTypeId }) => version.partTypes.get(partTypeId)!.shape.kind === "friction-washer");
  return {
    warned: getReport(shop.db, job, reportDates).cautions.some((words) => /asbestos/.test(words)),
    products: new Set(seats.map((seat) => lubricantFor(seat, version.partTypes.get(seat.partTypeId)!, waysOf(shop.db, job))?.product)),
  };
};

// Source of the rule: common practice; licensed practice and local codes stand above it.
describe("the friction linings of an old reel", () => {
  const cases: [string, Partial<NewJob>, boolean][] = [
    ["decades old, says the customer", { intake: intake({ life: ["old"] }) }, true],
    ["taken for about 1955", { takenFor: { madeBy: "", madeWhen: "about 1955?", madeWhere: "" } }, true],
    ["taken for the late 1980s", { takenFor: { madeBy: "", madeWhen: "late 1980s", madeWhere: "" } }, true],
    ["taken for 2011", { takenFor: { madeBy: "", madeWhen: "2011", madeWhere: "" } }, false],
    ["nothing known of its age", {}, false],
  ];
  it.each(cases)("%s", (_, job, old) => {
    const shop = openWorkshop();
    const found = linings(shop, shop.open(job));
    expect(found).toEqual(old ? ["friction-high", "friction-low", "friction-mid"] : []);
  });

  it("stay doubtful on later visits, and are proved by a piece fitted here or by what somebody saw", () => {
    const shop = openWorkshop();
    const first = shop.open({ serial: "OLD1", intake: intake({ life: ["old"] }) });
    shop.db.prepare("UPDATE job SET station = 'closed', closed_at = ? WHERE id = ?").run(shop.ctx.now, first);
    const id = shop.open({ serial: "OLD1" });
    expect(linings(shop, id)).toHaveLength(3);
    expect(getReport(shop.db, findJob(shop.db, id)!, reportDates).cautions.join(" ")).toMatch(/asbestos/);
    takeParts(shop.ctx, id, ["friction-low"]);
    fitFromElsewhere(shop.ctx, id, ["friction-low"], {
      source: "drawer",
      size: "",
      material: "carbon",
      closure: "",
      priceMinor: 100,
      anyway: false,
    });
    expect(linings(shop, id)).toEqual(["friction-high", "friction-mid"]);
    overrideSeat(shop.ctx, id, "friction-mid", "", { name: "leather washer, cut by hand", size: "", material: "leather" });
    expect(linings(shop, id)).toEqual(["friction-high"]);
    overrideSeat(shop.ctx, id, "friction-high", "", { name: "dark pressed washer", size: "" });
    expect(linings(shop, id)).toEqual(["friction-high"]);
  });
});

describe("what a person says a lining is made of", () => {
  it("decides caution and grease together, for the whole stack, both ways", () => {
    const shop = openWorkshop();
    const id = shop.open({ serial: "OLD2", intake: intake({ life: ["old"] }) });
    expect(told(shop, id)).toEqual({ warned: true, products: new Set(["nothing"]) });
    expect(sayLining(shop.ctx, id, "friction-mid", "carbon")).toBe(3);
    expect(told(shop, id)).toEqual({ warned: false, products: new Set(["drag grease"]) });
    sayLining(shop.ctx, id, "friction-low", "asbestos or not known");
    expect(told(shop, id)).toEqual({ warned: true, products: new Set(["nothing"]) });
    sayLining(shop.ctx, id, "friction-low", "new lining, proven");
    expect(told(shop, id).warned).toBe(false);
  });

  it("stays with the reel, leaves what is to be ordered for the seat, and ends with the piece", () => {
    const shop = openWorkshop();
    const id = shop.open({ serial: "N1" });
    sayLining(shop.ctx, id, "friction-low", "asbestos or not known");
    const model = machineOf(shop.db, findJob(shop.db, id)!).anatomy.positions.find((seat) => seat.id === "friction-low")!.partTypeId;
    expect(wantedPart(shop.db, findJob(shop.db, id)!, "friction-low").partTypeId).toBe(model);
    takeParts(shop.ctx, id, ["friction-low", "friction-mid", "friction-high"]);
    for (const seat of ["friction-low", "friction-mid", "friction-high"])
      fitFromElsewhere(shop.ctx, id, [seat], {
        source: "drawer",
        size: "",
        material: "carbon",
        closure: "",
        priceMinor: 100,
        anyway: false,
      });
    // The old linings went out: the report of this reel has nothing to warn of any more.
    expect(told(shop, id)).toEqual({ warned: false, products: new Set(["drag grease"]) });
  });

  it("is said of linings alone", () => {
    const shop = openWorkshop();
    expect(() => sayLining(shop.ctx, shop.open(), "main-gear", "carbon")).toThrow(/no friction lining/);
  });

  it("makes the remedy of a drag fault leave it alone, at quote and report", () => {
    const shop = openWorkshop();
    const id = shop.open({ serial: "N2", depth: "complaint" });
    addFault(shop.ctx, id, "drag-dry", "");
    const words = () =>
      getQuote(shop.db, findJob(shop.db, id)!)
        .labour.map((line) => line.words)
        .join(" ");
    expect(words()).toMatch(/re-grease/);
    sayLining(shop.ctx, id, "friction-low", "asbestos or not known");
    expect(words()).not.toMatch(/dress|grease/i);
    expect(saying(getReport(shop.db, findJob(shop.db, id)!, reportDates).told, "found").join()).not.toMatch(/dress|grease/i);
  });
});
