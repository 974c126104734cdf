import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type DefaultTreeAdapterTypes, html, parse } from "parse5";
import sharp from "sharp";
import { afterAll, describe, expect, it } from "vitest";
import { noteWell, pictureWell } from "@/data/bench/tray";
import { keepPhoto, washPhoto } from "@/data/database/photos";
import { correctJob, listCorrections } from "@/data/hand-back/corrections";
import { getOwnerRecord } from "@/data/hand-back/owner-record";
import { getReport } from "@/data/hand-back/report";
import { findJob, pictureJob } from "@/data/jobs/jobs";
import { fileHash, ownerFile } from "@/formats/owner-file";
import { reportPdf } from "@/formats/report-pdf";
import { wholeService } from "./whole-service";
import { intake, openWorkshop, refusal, reportDates } from "./workshop";

const folder = mkdtempSync(join(tmpdir(), "zorbek-record-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
type Node = DefaultTreeAdapterTypes.ChildNode;
const all = (node: Node | DefaultTreeAdapterTypes.Document): Node[] =>
  "childNodes" in node ? node.childNodes.flatMap((child) => [child, ...all(child)]) : [];
const words = (node: Node): string => ("value" in node ? node.value : "childNodes" in node ? node.childNodes.map(words).join(" ") : "");

async function served() {
  const shop = openWorkshop();
  const id = shop.open({
    kind: "service",
    depth: "full",
    complaint: "<script>alert(1)</script> & gritty",
    intake: intake({ complaints: ["service"] }),
  });
  const photo = await washPhoto(
    await sharp({ create: { width: 40, height: 30, channels: 3, background: "#884400" } })
      .png()
      .toBuffer(),
  );
  pictureJob(shop.ctx, id, keepPhoto(shop.ctx, photo, folder));
  wholeService(shop, id, () => {
    noteWell(shop.ctx, id, "dog", { verdict: "dressed", dressed: "nose filed square", orientation: "", note: "" });
    pictureWell(shop.ctx, id, "dog", keepPhoto(shop.ctx, photo, folder));
  });
  const record = () => {
    const job = findJob(shop.db, id)!;
    const report = getReport(shop.db, job, reportDates);
    return { report, file: ownerFile(getOwnerRecord(shop.db, job, report, reportDates.words, folder)) };
  };
  return { ...shop, id, record };
}

describe("a job as one file for its owner", () => {
  it("needs nothing: no script, no address outside, its drawings and pictures inside, by an HTML parser", async () => {
    const { record } = await served();
    const { file } = record();
    const nodes = all(parse(file, { onParseError: ({ code }) => expect.fail(code) }));
    const elements = nodes.flatMap((node) => ("tagName" in node ? [node] : []));
    const named = (tag: string) => elements.filter(({ tagName }) => tagName === tag);
    expect(named("script")).toEqual([]);
    for (const { attrs } of elements)
      for (const { name, value } of attrs) {
        expect(name).not.toMatch(/^on/);
        if (/^(src|href|action|data|srcset)$/.test(name)) expect(value).toMatch(/^data:image\/jpeg;base64,/);
      }
    expect(named("img")).toHaveLength(2);
    expect(elements.filter(({ tagName, namespaceURI }) => tagName === "svg" && namespaceURI === html.NS.SVG).length).toBeGreaterThan(20);
    const text = words(named("body")[0]!).replace(/\s+/g, " ");
    for (const said of [
      "<script>alert(1)</script> & gritty",
      "nose filed square",
      "Put back, step by step",
      "as it came",
      "Turning in gear",
    ])
      expect(text).toContain(said);
  });

  it("is the same bytes for the same record, and its hash stands on the report (sha256sum, pdftotext)", async () => {
    const { record } = await served();
    const { file, report } = record();
    expect(record().file).toBe(file);
    writeFileSync(join(folder, "record.html"), file);
    const hash = execFileSync("sha256sum", [join(folder, "record.html")], { encoding: "utf8" }).slice(0, 64);
    expect(fileHash(file)).toBe(hash);
    writeFileSync(join(folder, "report.pdf"), await reportPdf({ ...report, fileHash: fileHash(file) }, "en-GB"));
    expect(execFileSync("pdftotext", ["-layout", join(folder, "report.pdf"), "-"], { encoding: "utf8" })).toContain(hash);
  });
});

describe("a job that was handed back", () => {
  it("is corrected by what is added, which shows in report and file; nothing of it is changed", async () => {
    const { db, ctx, id, record } = await served();
    const before = record().file;
    correctJob(ctx, id, { words: "Spare spool was forgotten, given out", amountMinor: -450 });
    expect(listCorrections(db, id)).toMatchObject([
      { words: "Spare spool was forgotten, given out", amountMinor: -450, person: ctx.person.name },
    ]);
    const { file, report } = record();
    expect(report.corrections).toMatchObject([{ amount: -450 }]);
    expect(file).toContain("Spare spool was forgotten, given out (given back 4.50 EUR)");
    expect(fileHash(file)).not.toBe(fileHash(before));
    expect(() => db.prepare("UPDATE job_correction SET words = 'other'").run()).toThrow(/corrections-are-added/);
    expect(() => db.prepare("DELETE FROM job_correction").run()).toThrow(/corrections-are-added/);
  });

  it("is not corrected while it is here", () => {
    const { ctx, open } = openWorkshop();
    expect(refusal(() => correctJob(ctx, open(), { words: "Something", amountMinor: 0 })).way).toMatchObject({ to: "station" });
  });
});
