import { beforeEach, expect, it } from "vitest";
import { answer, intake, openWorkshop, refusal, reportDates, type Workshop } from "#tests/workshop";
import { keepsHereWords } from "@/core/hand-back/going-home";
import { goAsItIs, listAsItIs } from "@/data/account/as-it-is";
import { listJournal } from "@/data/database/journal";
import { settleFault } from "@/data/diagnosis/diagnosis";
import { sayPutRight } from "@/data/diagnosis/faults";
import { forgetWordsOnJobs } from "@/data/jobs/job-row";
import { findJob, pictureJob } from "@/data/jobs/jobs";
import { getShopSettings, saveShopSettings } from "@/data/shop/settings";
import { correctJob } from "./corrections";
import { hereFor } from "./going-home";
import { forgetReport, keepReport, reportOf } from "./kept-report";
import { choosePicture, listPictures, sayReportWords, seenReportWords } from "./report-words";
import { closeJob, markReady } from "./returns";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const job = (id: number) => findJob(shop.db, id)!;
const report = (id: number) => reportOf(shop.db, job(id), reportDates);
const blocks = (id: number) => hereFor(shop.db, job(id)).map(keepsHereWords);
/** A repair of which nothing came off: its knob, put right by a word. */
const knob = () => {
  const id = shop.open({ complaint: "knob", intake: intake() });
  settleFault(shop.ctx, id, "knob-stiff", true);
  sayPutRight(shop.ctx, id, "knob-stiff", true);
  return id;
};

it("the report says what it said when the reel went home, with what was added since and the customer's own name as it is now", () => {
  const id = knob();
  answer(shop.ctx, id, "turning", "good", null, "after");
  markReady(shop.ctx, id);
  closeJob(shop.ctx, id, "Ada Brook");
  keepReport(shop.ctx, job(id), reportDates);
  const was = report(id);
  saveShopSettings(shop.ctx, { ...getShopSettings(shop.db), shopName: "Another name" });
  correctJob(shop.ctx, id, { words: "a screw came later", amountMinor: 0 });
  shop.db.prepare("UPDATE customer SET name = 'Ada Stone'").run();
  expect(report(id)).toEqual({ ...was, owner: "Ada Stone", corrections: [expect.objectContaining({ words: "a screw came later" })] });
  forgetReport(shop.ctx, id);
  expect(report(id).shopName).toBe("Another name");
});

it("a reel does not hang ready with a fault that nothing put right, and does by somebody's word, which is taken back as well", () => {
  const id = knob();
  answer(shop.ctx, id, "turning", "good", null, "after");
  expect(blocks(id)).toEqual([]);
  sayPutRight(shop.ctx, id, "knob-stiff", false);
  expect(blocks(id)).toEqual(["Found but not repaired: Handle knob stiff. Repair it, mark it as fixed, or say how the reel leaves."]);
  expect(refusal(() => sayPutRight(shop.ctx, id, "drag-worn", true)).code).toBe("no-fault");
});

it("a reel goes with a test that is bad by a word from the list alone; tested good it needs none, and the word is not kept for another day", () => {
  const id = knob();
  answer(shop.ctx, id, "turning", "bad", null, "after");
  expect(refusal(() => markReady(shop.ctx, id)).code).toBe("tests");
  expect(refusal(() => goAsItIs(shop.ctx, id, "click", "no-part")).code).toBe("not-bad");
  goAsItIs(shop.ctx, id, "turning", "no-part");
  expect(blocks(id)).toEqual([]);
  expect(report(id).watch).toEqual(["Turning in gear is bad: the part is not available."]);
  goAsItIs(shop.ctx, id, "turning", "owner-knows");
  expect(listAsItIs(shop.db, id)).toEqual([{ testId: "turning", reason: "owner-knows" }]);
  goAsItIs(shop.ctx, id, "turning", null);
  expect(blocks(id)).toHaveLength(1);
  goAsItIs(shop.ctx, id, "turning", "no-part");
  answer(shop.ctx, id, "turning", "good", null, "after");
  expect(listAsItIs(shop.db, id)).toEqual([]);
  expect(report(id).watch).toEqual([]);
  expect(listJournal(shop.db, { jobId: id, limit: 50 }).filter(({ action }) => action === "goes-as-it-is")).toHaveLength(4);
});

it("a reel of which nothing was done goes with what was bad when it came by a word as well", () => {
  const id = shop.open({ complaint: "click" });
  answer(shop.ctx, id, "click", "bad");
  expect(refusal(() => markReady(shop.ctx, id)).message).toMatch(/^Click is still bad/);
  goAsItIs(shop.ctx, id, "click", "owner-knows");
  expect(blocks(id)).toEqual([]);
});

it("what was tested only before the work is not proved after it", () => {
  const id = knob();
  answer(shop.ctx, id, "click", "good");
  expect(blocks(id)).toEqual(["Not tested since the work: Click."]);
  sayPutRight(shop.ctx, id, "knob-stiff", false);
  // Nothing was done to it: the test still holds, and the fault alone is asked.
  expect(blocks(id)).toHaveLength(1);
  expect(blocks(id)[0]).toMatch(/^Found but not repaired/);
});

it("what the report answers is the technician's own words, kept against an older window, and an erased customer's answer goes", () => {
  const id = shop.open({ complaint: "Is it worth a new handle?" });
  const said = { answer: "Yes: the gears are sound.", ourMistake: "" };
  sayReportWords(shop.ctx, id, { ...said, seen: seenReportWords(job(id)) });
  expect(report(id)).toMatchObject({ complaint: "Is it worth a new handle?", ...said });
  const older = seenReportWords({ answer: "", ourMistake: "" });
  expect(refusal(() => sayReportWords(shop.ctx, id, { answer: "No.", ourMistake: "", seen: older })).code).toBe("changed-elsewhere");
  forgetWordsOnJobs(shop.db, shop.customerId);
  expect(report(id).answer).toBe("");
});

it("only pictures of this job are chosen for its report", () => {
  const id = shop.open();
  const hash = "a".repeat(64);
  shop.db.prepare("INSERT INTO photo (hash, width, height, bytes, at) VALUES (?, 10, 10, 100, ?)").run(hash, shop.ctx.now);
  expect(refusal(() => choosePicture(shop.ctx, id, hash, true)).code).toBe("no-picture");
  pictureJob(shop.ctx, id, hash);
  expect(report(id).pictures).toEqual([]);
  choosePicture(shop.ctx, id, hash, true);
  expect(report(id).pictures).toEqual([{ hash, shows: "As it came" }]);
  choosePicture(shop.ctx, id, hash, false);
  expect(listPictures(shop.db, id)).toEqual([{ hash, positionId: null, onReport: false }]);
});
