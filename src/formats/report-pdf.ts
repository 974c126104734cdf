import { DateTime } from "luxon";
import { drawGlyph } from "@/core/glyphs/draw-glyph";
import { formatMinor } from "@/core/money/money";
import { changeWords, type Report, type ReportTest } from "@/core/report/report";
import { type WorkDone, workLines } from "@/core/report/work-done";
import type { Plate } from "@/core/schematic/assembly-plate";
import type { Locale } from "@/core/vocabulary/locales";
import { drawGlyphPaths, drawQr, ink, makePdf, pointsPerMm as mm, type Pdf } from "./pdf";
import { type Flow, flowOf } from "./pdf-flow";

const page = { widthMm: 210, heightMm: 297, marginMm: 14 } as const;

/**
 * The report the owner keeps, A4: reel, findings, work, parts with their drawings, before and after, advice, next service, price. A purchase
 * check says instead what the seller claims beside what was seen, and what it would cost to put right. @param locale how dates are written.
 */
export const reportPdf = (report: Report, locale: Locale): Promise<Buffer> =>
  makePdf({ ...page, title: `${report.check ? "Purchase check" : "Service report"} ${report.tag}` }, (doc) => {
    const flow = flowOf(doc, page);
    const { left, right, room, line, heading } = flow;
    const width = right - left;

    doc
      .font("bold")
      .fontSize(22)
      .text(report.check ? "Purchase check" : "Service report", left, flow.y, { lineBreak: false });
    drawQr(doc, report.tag, right - 26 * mm, flow.y - 4 * mm, 26 * mm);
    flow.y += 10 * mm;
    line("sans", 11, report.shopName, left, 130 * mm);
    line("mono", 14, report.tag, left, 130 * mm);
    line("bold", 12, `${report.reel}, ${report.hand}${report.serial ? `, serial ${report.serial}` : ", no serial"}`, left, 140 * mm);
    line(
      "sans",
      11,
      `For ${report.owner}. Received ${report.openedOn}${report.closedOn ? `, returned ${report.closedOn}` : ", not returned yet"}.`,
      left,
      140 * mm,
    );

    line("sans", 11, `It came for: ${report.cameFor}.`);

    heading("You reported");
    line("sans", 11, report.complaint || "Nothing in particular.");
    for (const answer of report.answers) line("bold", 11, answer);

    if (report.asFound) line("sans", 11, `As received: ${report.asFound}.`);
    if (report.declined !== null) {
      heading("Returned unrepaired");
      line("bold", 11, report.declined);
    }
    if (report.check?.claims.length) {
      heading("Seller says");
      for (const { claim, standing, because } of report.check.claims) {
        line("bold", 11, `“${claim}”: ${standing}`);
        if (because) line("sans", 11, because, left + 6 * mm, width - 6 * mm);
      }
      line("sans", 9, "One contradiction is enough; “nothing contradicts it” covers only what was checked.");
    }

    heading(report.check ? "What was found" : "Found and done");
    const drawn = report.drawing && report.work?.touched.length ? drawTouched(doc, flow, report.drawing, report.work) : null;
    // Beside the drawing the lines are narrow, below it they have the whole page.
    const beside = (words: string) => line("sans", 10, words, left, drawn && flow.y < drawn ? width - drawingWidth - 4 * mm : width);
    if (!report.findings.length)
      line("sans", 11, report.parts.length || report.check ? "No fault was found." : "No fault was found. No parts were fitted.");
    for (const finding of report.findings)
      line(
        "sans",
        11,
        `${finding.name}: ${report.check ? "to put right, " : ""}${finding.remedy}${finding.minutes ? ` (${finding.minutes} min)` : ""}.`,
      );
    if (report.check && report.findings.length)
      line("bold", 11, `Repairing all of it: about ${formatMinor(report.check.putRight)} ${report.price.currency}, tax included.`);

    for (const words of report.work ? workLines(report.work) : []) beside(words);
    if (drawn && flow.y < drawn && doc.bufferedPageRange().count === 1) flow.y = drawn;
    if (!report.check) {
      if (report.parts.length) heading("Parts fitted");
      else if (report.findings.length) line("sans", 10, "No parts were fitted.");
    }
    for (const part of report.parts) {
      room(14 * mm);
      const glyph = drawGlyph(part.type.shape, { turned: part.turned, material: part.type.material, leastThicknessMm: 1.2 });
      const scale = Math.min((11 * mm) / (glyph.up + glyph.down), (18 * mm) / (glyph.right - glyph.left));
      drawGlyphPaths(
        doc,
        glyph.paths,
        left + 10 * mm - ((glyph.left + glyph.right) / 2) * scale,
        flow.y + 6.5 * mm + ((glyph.up - glyph.down) / 2) * scale,
        scale,
      );
      doc
        .font("mono")
        .fontSize(10)
        .text(part.number, left + 24 * mm, flow.y + 4.5 * mm, { lineBreak: false });
      doc
        .font("sans")
        .fontSize(11)
        .text(part.words, left + 48 * mm, flow.y + 4.2 * mm, { lineBreak: false });
      doc
        .font("mono")
        .fontSize(10)
        .text(formatMinor(part.price), right - 30 * mm, flow.y + 4.5 * mm, { width: 30 * mm, align: "right" });
      flow.y += 14 * mm;
    }

    if (report.inPlace.length) {
      heading("Served in place");
      for (const part of report.inPlace) line("sans", 11, `${part.name}: ${part.reason}`);
    }
    if (report.lubricants.length) line("sans", 10, `Oil and grease: ${report.lubricants.join("; ")}.`);
    if (report.computed.length) {
      heading("Calculated");
      for (const words of report.computed) line("sans", 11, words);
    }
    for (const words of report.cautions) {
      heading("Take care");
      line("bold", 11, words);
    }
    if (report.leftOut.length) {
      heading("Left out on purpose");
      for (const part of report.leftOut) line("sans", 11, `${part.name}: ${part.reason}`);
    }
    if (report.watch.length) {
      heading("Watch next time");
      for (const part of report.watch) line("sans", 11, `${part.name}${part.note ? `: ${part.note}` : ""}`);
    }

    heading(report.check ? "Test results" : "Before and after");
    for (const test of report.tests) {
      room(9 * mm);
      drawTest(doc, report.check ? { ...test, after: test.before, before: "", bars: null } : test, left, flow.y);
      flow.y += (test.bars ? 6.4 : 5.2) * mm;
    }
    const notBetter = report.tests.filter(({ change }) => change === changeWords.worse).map(({ name }) => name);
    if (notBetter.length && !report.check)
      line("bold", 11, `No better than received: ${notBetter.join(", ")}.${report.watch.length ? " See what to watch above." : ""}`);
    if (report.tests.some((test) => test.simulated)) line("sans", 9, "Readings marked with a dashed bar came from a simulated instrument.");
    if (!report.check && report.tests.some(({ bars }) => bars !== null))
      line(
        "sans",
        9,
        "Pulls are compared as torque at the spool when they were taken at different line radii; a change under 5 % counts as the same.",
      );

    heading("Care and next service");
    for (const words of report.advice) line("sans", 11, words);
    line("bold", 11, `Next service: ${report.nextService}`);
    for (const due of report.due.filter(({ id }) => id !== "whole"))
      line(
        "sans",
        11,
        `${due.component}: ${due.what}, ${due.byOwner ? "yourself, " : ""}by ${DateTime.fromISO(due.on).setLocale(locale).toLocaleString(DateTime.DATE_MED)} (${due.because})`,
      );
    if (report.notServed.length) line("sans", 11, `Not served here yet: ${report.notServed.join(", ")}.`);

    heading("Price");
    const { price } = report;
    for (const { words, fromList } of price.workLines) line("sans", 10, `${words}${fromList ? " (price list)" : ""}`);
    for (const [words, amount] of [
      ["Work", price.labour],
      ...(price.parts || !report.work ? ([["Parts", price.parts]] as const) : []),
      ...price.extras.map((extra) => [extra.words, extra.price] as const),
      ...(price.discount ? ([["Discount", -price.discount]] as const) : []),
      [`Tax ${price.taxPercent} %`, price.tax],
    ] as const)
      flow.amount(words, formatMinor(amount));
    flow.amount(`Total, ${price.currency}`, formatMinor(price.total), 13);
    if (price.deposit)
      line(
        "sans",
        11,
        `Paid at the counter: ${formatMinor(price.deposit)}. ${price.total < price.deposit ? "Refund" : "To pay"}: ${formatMinor(Math.abs(price.total - price.deposit))}.`,
      );
    if (report.corrections.length) {
      heading("Added after the return");
      for (const { on, words, amount } of report.corrections)
        line(
          "sans",
          11,
          `${on}: ${words}${amount ? ` (${amount > 0 ? "paid" : "given back"} ${formatMinor(Math.abs(amount))} ${price.currency})` : ""}`,
        );
    }
    if (report.fileHash) line("mono", 7, `This job as one file, SHA-256 ${report.fileHash}`);
    line("sans", 9, "Makers' instructions and local rules come before anything advised here.");
  });

const drawingWidth = 72 * mm;

/** The whole reel in a row, assembly by assembly: what was touched in ink, the rest faint. @returns where it ends, points from the top. */
function drawTouched(doc: Pdf, flow: Flow, plate: Plate, work: WorkDone): number {
  const touched = new Set(work.touched);
  const [width, height] = [drawingWidth, 30 * mm];
  flow.room(height);
  const up = Math.max(...plate.callouts.map(({ glyph }) => glyph.up));
  const down = Math.max(...plate.callouts.map(({ glyph }) => glyph.down));
  const from = Math.min(...plate.callouts.map(({ x, glyph }) => x + glyph.left));
  const to = Math.max(...plate.callouts.map(({ x, glyph }) => x + glyph.right));
  const scale = Math.min(width / (to - from), height / (up + down));
  const axis = flow.y + up * scale;
  for (const callout of plate.callouts)
    drawGlyphPaths(
      doc,
      callout.glyph.paths,
      flow.right - width + (callout.x - from) * scale,
      axis,
      scale,
      callout.positionIds.some((id) => touched.has(id)) ? ink : "#B9BDBB",
    );
  return flow.y + (up + down) * scale + 2 * mm;
}

/** One test: name, before small, after large, and two bars to one scale. */
export function drawTest(doc: Pdf, test: ReportTest, left: number, y: number): void {
  doc
    .font("sans")
    .fontSize(11)
    .text(test.name, left, y + 3, { lineBreak: false });
  doc
    .font("mono")
    .fontSize(9)
    .text(test.before, left + 44 * mm, y + 4, { width: 30 * mm, lineBreak: false });
  doc
    .font("mono")
    .fontSize(12)
    .text(test.after, left + 74 * mm, y + 2, { width: 34 * mm, lineBreak: false });
  doc
    .font("bold")
    .fontSize(11)
    .text(test.change, left + 108 * mm, y + 3, { lineBreak: false });
  if (!test.bars) return;
  const most = Math.max(test.bars.before, test.bars.after, 1e-9);
  const [from, length] = [left + 134 * mm, 40 * mm];
  doc.save();
  if (test.simulated) doc.dash(2, { space: 1.5 });
  doc
    .lineWidth(0.5)
    .rect(from, y + 3, (length * test.bars.before) / most, 5)
    .stroke();
  doc
    .lineWidth(1.4)
    .rect(from, y + 10, (length * test.bars.after) / most, 7)
    .stroke();
  doc.restore();
}
