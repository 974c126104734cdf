import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import jsQR from "jsqr";
import sharp from "sharp";
import { afterAll, describe, expect, it } from "vitest";
import { skerry30Parts } from "#demo/models/skerry-30";
import type { Report } from "@/core/report/report";
import { formatTag } from "@/core/tags/tag";
import { historyPdf } from "./history-pdf";
import { labelPdf } from "./label-pdf";
import { lotReportPdf } from "./lot-report-pdf";
import { receiptPdf } from "./receipt-pdf";
import { reportPdf } from "./report-pdf";
import { shortReportPdf } from "./short-report-pdf";

const folder = mkdtempSync(join(tmpdir(), "zorbek-pdf-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Independent readers: poppler's pdftotext and pdfinfo (Debian poppler-utils). */
const read = (bytes: Buffer) => {
  const file = join(folder, "read.pdf");
  writeFileSync(file, bytes);
  return {
    file,
    text: execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" }).replace(/\s+/g, " "),
    pages: Number(/Pages:\s+(\d+)/.exec(execFileSync("pdfinfo", [file], { encoding: "utf8" }))![1]),
  };
};

/** An independent decoder reads the page as printed (poppler's pdftoppm, then jsQR). */
const readQr = async (file: string, name: string): Promise<string | undefined> => {
  execFileSync("pdftoppm", ["-r", "160", "-png", file, join(folder, name)]);
  const { data, info } = await sharp(join(folder, `${name}-1.png`))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data;
};

describe("the claim tag", () => {
  const label = {
    shopName: "The Bench",
    owner: "Ünal Ståhl-Łopez",
    reel: "Maker Model",
    promised: "Fri 4 Dec",
    cameWith: ["line on the spool", "box"],
  };

  it.each([1, 572, 12_345, 99_999])("of number %i carries its tag as text and as QR, read by other programs", async (number) => {
    const tag = formatTag(number);
    const { file, text, pages } = read(await labelPdf({ ...label, tag }));
    expect(pages).toBe(1);
    expect(text).toContain(tag);
    expect(text).toContain("line on the spool, box");
    expect(await readQr(file, "label")).toBe(tag);
  });

  it("does not run over with a long name", async () => {
    const { pages, text } = read(
      await labelPdf({ ...label, tag: formatTag(7), owner: "A very long name of a club of anglers beside a very long estuary" }),
    );
    expect(pages).toBe(1);
    expect(text).toContain("A very long name");
  });
});

describe("the receipt", () => {
  it("says what was left here, in which state and up to which sum, its QR read by another program", async () => {
    const tag = formatTag(4711);
    const { file, text, pages } = read(
      await receiptPdf({
        tag,
        shopName: "The Bench",
        owner: "Ada Brook",
        reel: "Maker Model, serial S1",
        takenIn: "1 Mar 2026",
        promised: "Mon 9 Mar",
        comesFor: "repair",
        complaint: "drag weak; slips when a fish runs and then jerks",
        asFound: "pitting: foot, spool",
        cameWith: ["box", "rod clamp"],
        currency: "EUR",
        limitMinor: null,
        partsLimitMinor: null,
        callFor: "handle",
        discountPercent: 15,
        depositMinor: 2050,
        terms: "Reels never fetched are sold after a year.",
        termsAgreed: false,
      }),
    );
    expect(pages).toBe(1);
    for (const words of [
      tag,
      "pitting: foot, spool",
      "box, rod clamp",
      "we ask before any work",
      "15 % off",
      "20.50 EUR",
      "sold after a year",
      "Agreed: ____",
    ])
      expect(text).toContain(words);
    expect(await readQr(file, "receipt")).toBe(tag);
  });
});

describe("the report", () => {
  const part = skerry30Parts.find((one) => one.role === "main-gear")!;
  const report: Report = {
    shopName: "The Bench",
    tag: formatTag(7),
    owner: "Ada Brook",
    cameFor: "service",
    notServed: [],
    reel: "Maker Model",
    serial: "S1",
    made: "About 1950 (a guess)",
    hand: "right hand",
    openedOn: "1 Mar 2026",
    closedOn: null,
    complaint: "stiff",
    answer: "It is worth keeping: the frame is straight.",
    ourMistake: "",
    pictures: [],
    asFound: "pitting: foot",
    declined: null,
    check: null,
    told: [
      { section: "found", words: "Gears worn: repaired (30 min). New: main gear.", acts: ["fault:gears-worn"] },
      { section: "done", words: "Serviced in place: trip lever (not worth drawing).", acts: ["in-place:trip-lever"] },
      { section: "oil", words: "Light oil, 5 drops: spool bearing (2).", acts: ["step:place-bearing"] },
    ],
    faults: ["Gears worn"],
    touched: [],
    answers: ["“stiff”: Turning in gear is 9 cN·m, good now, was 22 cN·m, bad."],
    drawing: null,
    parts: [{ number: part.number, words: "Main gear", price: 2890, type: part, turned: false }],
    computed: ["Drag: 3 slipping places; 42 N at a full spool."],
    cautions: ["This old friction lining may contain asbestos."],
    leftOut: [{ name: "Click spring", reason: "not to be had any more" }],
    watch: ["Spool bearing: a tick in one place."],
    tests: [
      {
        name: "Turning in gear",
        before: "22 cN·m",
        after: "9 cN·m",
        change: "better",
        leftOut: [],
        simulated: true,
        bars: { before: 22, after: 9 },
      },
    ],
    advice: ["Rinse it."],
    corrections: [],
    workedBy: "Ilse Varn",
    oldParts: "Old parts: discarded here.",
    parcels: ["Came by parcel, Quick Post 77, 1 Mar 2026"],
    warranty: "Our work is under warranty until 1 Sep 2026: bring this report.",
    fileHash: null,
    nextService: "1 Mar 2027",
    due: [
      { id: "outside", component: "Outside", what: "quick clean", on: "2026-04-01", because: "every third trip in salt", byOwner: true },
      { id: "whole", component: "Whole reel", what: "full service", on: "2027-03-01", because: "salt water", byOwner: false },
    ],
    price: {
      labour: 3375,
      parts: 2890,
      workLines: [{ words: "Fit a pair of gears", minutes: 30, price: null }],
      anHour: 4500,
      extras: [],
      discount: 0,
      deposit: 1000,
      tax: 1253,
      taxPercent: 20,
      total: 7518,
      currency: "EUR",
    },
  };

  it("says everything that was found, done, left and to be watched, and that a reading was simulated", async () => {
    const { text } = read(await reportPdf(report, "en-GB"));
    for (const words of [
      "Ada Brook",
      "serial S1",
      "About 1950 (a guess)",
      "Our answer: It is worth keeping: the frame is straight.",
      "Gears worn: repaired (30 min). New: main gear.",
      "Fit a pair of gears (30 min)",
      "Work, 45.00 an hour",
      "SK-220",
      "28.90",
      "not to be had any more",
      "trip lever (not worth drawing)",
      "Light oil, 5 drops: spool bearing (2).",
      "42 N at a full spool",
      "may contain asbestos",
      "Outside: quick clean, yourself, by 1 Apr 2026",
      "a tick in one place",
      "22 cN·m",
      "simulated",
      "Rinse it.",
      "1 Mar 2027",
      "75.18",
      "not returned yet",
      "Worked on by Ilse Varn.",
      "Quick Post 77",
      "discarded here",
      "under warranty until 1 Sep 2026",
    ])
      expect(text, words).toContain(words);
  });

  it.each(["Ünal Ståhl-Łopez", "Γιώργος Παππάς", "Олена Коваль", "Žofie Dvořáková"])(
    "prints %s so that another program reads it",
    async (owner) => {
      const { text } = read(await reportPdf({ ...report, owner, complaint: `said ${owner}` }, "en-GB"));
      expect(text).toContain(`For ${owner}.`);
      expect(text).toContain(`said ${owner}`);
      expect(text).not.toContain("not in the shop's print");
    },
  );

  it("says which letters it has not", async () => {
    const { text } = read(await reportPdf({ ...report, owner: "山本 Aiko" }, "en-GB"));
    expect(text).toContain("Aiko");
    expect(text).toContain("These letters are not in the shop's print: U+5C71 U+672C");
  });

  it("leaves out what there is nothing of", async () => {
    const { text } = read(await reportPdf({ ...report, told: [], faults: [], parts: [], leftOut: [], watch: [], tests: [] }, "en-GB"));
    expect(text).not.toMatch(/found|Parts fitted|What was done|Before and after|Left out on purpose|Watch next time|simulated/);
  });

  it("goes on to another page rather than off the paper", async () => {
    const many = Array.from({ length: 40 }, (_, i) => ({ ...report.parts[0]!, words: `Part ${i + 1}` }));
    const { pages, text } = read(await reportPdf({ ...report, parts: many }, "en-GB"));
    expect(pages).toBeGreaterThan(1);
    expect(text).toContain("Part 40");
    expect(text).toContain("75.18");
  });

  it("says what is not better than it came", async () => {
    const tests = [{ ...report.tests[0]!, change: "not better" }];
    expect(read(await reportPdf({ ...report, tests }, "en-GB")).text).toContain("No better than received: Turning in gear");
    expect(read(await reportPdf(report, "en-GB")).text).not.toContain("Not better than it came");
  });

  it("in short fits one page and keeps what matters", async () => {
    const { pages, text } = read(await shortReportPdf(report));
    expect(pages).toBe(1);
    for (const words of [
      "Gears worn: repaired (30 min). New: main gear.",
      "SK-220 Main gear",
      "22 cN·m, now 9 cN·m: better",
      "a tick in one place",
      "asbestos",
      "75.18",
    ])
      expect(text, words).toContain(words);
  });
});

describe("the sheet of a lot", () => {
  const row = (i: number) => ({
    tag: formatTag(i),
    mark: `boat ${i}`,
    serial: `S${i}`,
    state: i % 2 ? "returned" : "ready",
    findings: ["Drag worn"],
    parts: ["Friction washer, low"],
    readings: ["Turning in gear 21 cN·m → 9 cN·m"],
    watch: i === 3 ? ["Spool bearing"] : [],
    totalMinor: 3050,
  });
  const lot = {
    shopName: "The Bench",
    name: "Ferry hire",
    sender: "Lake Ferry",
    model: "Maker Model",
    openedOn: "1 Mar 2026",
    currency: "EUR",
  };

  it("lists 34 reels over its pages, each with its tag and mark, and what the lot comes to", async () => {
    const { pages, text } = read(await lotReportPdf({ ...lot, rows: Array.from({ length: 34 }, (_, i) => row(i + 1)) }));
    expect(pages).toBeGreaterThan(1);
    for (let i = 1; i <= 34; i++) expect(text).toContain(formatTag(i));
    for (const words of [
      "34 of 34 finished",
      "Drag worn: 34 of 34 reels (100 %)",
      "34 × Friction washer, low",
      "boat 34",
      "To watch: Spool bearing",
      "1037.00",
    ])
      expect(text, words).toContain(words);
  });
});

describe("a reel's history on paper", () => {
  it("tells every visit, what was measured and what is due", async () => {
    const { text } = read(
      await historyPdf(
        {
          format: "zorbek-reel-history",
          version: 1,
          exportedOn: "2026-11-25",
          shop: "The Bench",
          reel: { maker: "Maker", model: "Model", serial: "S1", hand: "left" },
          before: [{ on: "2019-05-31", words: "washed and greased elsewhere" }],
          visits: [
            {
              tag: formatTag(7),
              takenInOn: "2026-03-01",
              handedBackOn: "2026-03-08",
              cameFor: "repair",
              found: ["Gears worn"],
              done: ["Spool: stripped; swab and brush."],
              unrepaired: null,
              partsFitted: [{ number: "SK-220", name: "Main gear", seat: "Main gear", used: true }],
              leftOut: [],
              servedInPlace: [{ seat: "Trip lever", reason: "not worth drawing" }],
              measured: [
                { name: "Side play", phase: "before", value: 0.31, low: 0.26, high: 0.36, unit: "mm", says: "" },
                { name: "Wear, Dog", phase: "after", value: 0.4, low: 0.33, high: 0.47, unit: "mm", says: "worn" },
              ],
              measurements: [
                {
                  test: "Turning in gear",
                  phase: "before",
                  verdict: "bad",
                  value: 21,
                  unit: "cN·m",
                  lineRadiusMm: null,
                  instrument: "typed",
                  simulated: false,
                },
                {
                  test: "Turning in gear",
                  phase: "after",
                  verdict: "good",
                  value: 9,
                  unit: "cN·m",
                  lineRadiusMm: null,
                  instrument: "gauge",
                  simulated: true,
                },
              ],
            },
          ],
          next: [{ component: "Drag", what: "looked at", on: "2027-03-08", because: "once a year" }],
        },
        "en-GB",
      ),
    );
    for (const words of [
      "Maker Model",
      "Found: Gears worn",
      "SK-220 Main gear, used, from a donor",
      "Trip lever, not worth drawing",
      "21 cN·m, then 9 cN·m (simulated)",
      "8 Mar 2027: Drag",
      "Earlier history, 31 May 2019: washed and greased elsewhere",
      "Side play, before the work: 0.31 ± 0.05 mm",
    ])
      expect(text, words).toContain(words);
  });
});
