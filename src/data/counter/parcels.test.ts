import { expect, it } from "vitest";
import { wholeService } from "#tests/whole-service";
import { answer, openWorkshop, refusal, reportDates } from "#tests/workshop";
import { lastVisitOf } from "@/data/diagnosis/diagnosis";
import { getReport } from "@/data/hand-back/report";
import { closeJob, markReady, noteTold, toldOn } from "@/data/hand-back/returns";
import { findJob } from "@/data/jobs/jobs";
import { getShopSettings, saveShopSettings } from "@/data/shop/settings";
import { listParcels, saveParcel, seenParcel } from "./parcels";

const dates = { ...reportDates, words: (day: string) => day.slice(0, 10) };

it("a parcel in and one out stand on the report; an older window does not write over a newer", () => {
  const { ctx, db, open } = openWorkshop();
  const id = open();
  const came = { carrier: "Quick Post", number: "77", valueMinor: 12_000, onDay: "2026-03-01" };
  saveParcel(ctx, id, "in", { ...came, seen: seenParcel(undefined) });
  saveParcel(ctx, id, "out", { ...came, number: "", onDay: "2026-03-09", seen: seenParcel(undefined) });
  expect(getReport(db, findJob(db, id)!, dates).parcels).toEqual([
    "Came by parcel, Quick Post 77, 2026-03-01",
    "Went back by parcel, Quick Post, 2026-03-09",
  ]);
  expect(refusal(() => saveParcel(ctx, id, "in", { ...came, carrier: "Other", seen: seenParcel(undefined) })).code).toBe(
    "changed-elsewhere",
  );
  saveParcel(ctx, id, "in", { ...came, carrier: "Other", seen: seenParcel(listParcels(db, id)[0]) });
  expect(listParcels(db, id).map(({ carrier }) => carrier)).toEqual(["Other", "Quick Post"]);
});

it("our work is warranted so many months after its return, and a comeback says whether it is inside", () => {
  const shop = openWorkshop();
  const { ctx, db } = shop;
  saveShopSettings(ctx, { ...getShopSettings(db), warrantyMonths: 6 });
  const id = shop.open({ serial: "W1", kind: "service", depth: "light", complaint: "" });
  expect(getReport(db, findJob(db, id)!, dates).warranty).toBe("");
  wholeService(shop, id);
  expect(getReport(db, findJob(db, id)!, dates)).toMatchObject({
    warranty: "Our work is under warranty until 2026-09-02: bring this report.",
    workedBy: expect.stringMatching(/\S/),
  });
  const back = (on: string) => {
    const comeback = shop.open({ serial: "W1", kind: "comeback" }, { ...ctx, now: `${on}T09:00:00.000Z` });
    const last = lastVisitOf(db, findJob(db, comeback)!);
    db.prepare("UPDATE job SET closed_at = opened_at, station = 'closed', declined_reason = 'x' WHERE id = ?").run(comeback);
    return last;
  };
  expect(back("2026-09-02")).toMatchObject({ warrantedTo: "2026-09-02", inWarranty: true });
  expect(back("2026-09-03")).toMatchObject({ inWarranty: false });
  saveShopSettings(ctx, { ...getShopSettings(db), warrantyMonths: 0 });
  expect(back("2026-09-04")).toMatchObject({ warrantedTo: null, inWarranty: false });
});

it("a check warrants nothing, and the days its owner was told are kept in their order", () => {
  const { ctx, db, open } = openWorkshop();
  const id = open({ serial: "T1" });
  answer(ctx, id, "turning", "good");
  markReady(ctx, id);
  noteTold({ ...ctx, now: "2026-03-20T09:00:00.000Z" }, id);
  noteTold({ ...ctx, now: "2026-04-03T09:00:00.000Z" }, id);
  expect(toldOn(db, id)).toEqual(["2026-03-20", "2026-04-03"]);
  closeJob(ctx, id, "Ada Brook", { oldParts: "kept" });
  expect(getReport(db, findJob(db, id)!, dates).oldParts).toBe("Old parts: discarded here.");
});
