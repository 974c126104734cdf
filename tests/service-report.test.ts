import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { noteWell } from "@/data/bench/tray";
import { getReport } from "@/data/hand-back/report";
import { findJob } from "@/data/jobs/jobs";
import { getReelHistory } from "@/data/ledger/reel-history";
import { getShopSettings, saveShopSettings } from "@/data/shop/settings";
import { reportPdf } from "@/formats/report-pdf";
import { wholeService } from "./whole-service";
import { intake, openWorkshop, reportDates } from "./workshop";

const folder = mkdtempSync(join(tmpdir(), "zorbek-service-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Independent readers: poppler's pdftotext and pdfinfo (Debian poppler-utils). */
const read = (bytes: Buffer) => {
  const file = join(folder, "report.pdf");
  writeFileSync(file, bytes);
  return {
    text: execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" }).replace(/\s+/g, " "),
    pages: Number(/Pages:\s+(\d+)/.exec(execFileSync("pdfinfo", [file], { encoding: "utf8" }))![1]),
  };
};

describe("the report of a service without any fault", () => {
  it("names what was stripped, how it was cleaned, oiled and checked, before and after, the price from the list, on one page", async () => {
    const shop = openWorkshop();
    const settings = getShopSettings(shop.db);
    saveShopSettings(shop.ctx, {
      ...settings,
      prices: { fixed: { "star-drag-bridge": { full: 6900 } }, smallestMinor: 0, consumablesMinor: 350, measured: false },
    });
    const id = shop.open({ kind: "service", depth: "full", complaint: "", intake: intake({ complaints: ["service"] }) });
    const job = wholeService(shop, id, () =>
      noteWell(shop.ctx, id, "dog", { verdict: "dressed", dressed: "nose filed square", orientation: "", note: "" }),
    );
    const { text, pages } = read(await reportPdf(getReport(shop.db, job, reportDates), "en-GB"));
    for (const words of [
      "Taken apart: handle and star; head plate, yoke and free spool; spool; tail plate and click; bridge and anti-reverse; gear and drag stack.",
      "Cleaned: swab and brush (41), ",
      "flushed one by one (2)",
      "54 parts off: 54 refitted.",
      "Not opened: frame and foot.",
      "Anti-reverse dog: nose filed square, put back",
      "Checks passed (7): ",
      "Light oil, 6 drops: anti-reverse ratchet, eccentric, anti-reverse dog, spool bearing (2); in place: handle knob.",
      "Drag grease: friction washer (3).",
      "No fault found: every test was good on arrival.",
      "Before and after",
      "Good before and after: Free spool; Turning in gear; Drag, star 1/4 turn; ",
      "Full service: apart, cleaned, oiled and greased, checked (69.00, price list)",
      "69.00",
      "Oil, grease and cleaner 3.50",
      // Worked by hand: 69.00 + 3.50 = 72.50, tax 20 % 14.50.
      "87.00",
    ])
      expect(text, words).toContain(words);
    expect(pages).toBe(1);
  });

  it("of one assembly and of the outside say no more than was done", async () => {
    const shop = openWorkshop();
    const drag = shop.open({ kind: "service", depth: "complaint", serial: "D1", intake: intake({ complaints: ["drag-weak"] }) });
    const some = read(await reportPdf(getReport(shop.db, wholeService(shop, drag), reportDates), "en-GB")).text;
    expect(some).toContain(
      "Gear and drag stack, opened in part for the complaint: eared washer, friction washer (3), keyed washer (2) off.",
    );
    expect(some).toMatch(/Not opened: [^.]*tail plate and click/);
    expect(some).toMatch(/“drag weak”: .* was good when it came, and is so now/);
    const outside = shop.open({ kind: "service", depth: "light", serial: "L1", complaint: "" });
    const { text, pages } = read(await reportPdf(getReport(shop.db, wholeService(shop, outside), reportDates), "en-GB"));
    expect(text).toContain("Light oil, 2 drops: in place: handle knob, spool bearing (tail).");
    expect(text).not.toMatch(/Taken apart|part way|Not opened/);
    expect(pages).toBe(1);
    const history = getReelHistory(shop.db, findJob(shop.db, outside)!.reel.id, {
      today: "2026-03-02",
      after: (from) => from.slice(0, 10),
    });
    expect(history?.visits[0]?.done).toContain("Light oil, 2 drops: in place: handle knob, spool bearing (tail).");
  });
});
