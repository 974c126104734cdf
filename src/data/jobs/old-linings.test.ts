import { describe, expect, it } from "vitest";
import { intake, openWorkshop, reportDates, type Workshop } from "#tests/workshop";
import { mayBeAsbestos } from "@/core/safety/linings";
import { fitFromElsewhere } from "@/data/bench/fit-part";
import { overrideSeat } from "@/data/bench/own-part";
import { takeParts } from "@/data/bench/tray";
import type { NewJob } from "@/data/counter/open-job";
import { getReport } from "@/data/hand-back/report";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "./machine";

const linings = (shop: Workshop, id: number) => {
  const { anatomy, partTypes } = machineOf(shop.db, findJob(shop.db, id)!);
  return anatomy.positions
    .filter(({ partTypeId }) => mayBeAsbestos(partTypes.get(partTypeId)!))
    .map((seat) => seat.id)
    .sort();
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
    fitFromElsewhere(shop.ctx, id, "friction-low", {
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
