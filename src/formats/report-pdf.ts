import { DateTime } from "luxon";
import { saying } from "@/core/account/sentences";
import { drawGlyph } from "@/core/glyphs/draw-glyph";
import { formatMinor } from "@/core/money/money";
import { changeWords } from "@/core/proving/compare";
import { minutesLine } from "@/core/report/price-lines";
import type { Report, ReportTest } from "@/core/report/report";
import type { Plate } from "@/core/schematic/assembly-plate";
import type { Locale } from "@/core/vocabulary/locales";
import type { Verdict } from "@/core/vocabulary/tests";
import { drawGlyphPaths, drawQr, ink, makePdf, pointsPerMm as mm, type Pdf } from "./pdf";
import { type Flow, flowOf } from "./pdf-flow";

const page = { widthMm: 210, heightMm: 297, marginMm: 14 } as const;

/**
 * The report the owner keeps, A4: reel, what was reported and its answer, what was found and done, parts with their drawings, before and after,
 * care, next service, price. A purchase check says instead what the seller claims beside what was seen, and what it would cost to put right.
 * @param locale how dates are written. @param pictures bytes of those chosen, by their hash.
 */
export const reportPdf = (report: Report, locale: Locale, pictures: ReadonlyMap<string, Buffer> = new Map()): Promise<Buffer> =>
  makePdf({ ...page, title: `${report.check ? "Purchase check" : "Service report"} ${report.tag}` }, (doc) => {
    const flow = flowOf(doc, page);
    head(doc, flow, report);
    reported(flow, report);
    if (report.check) sellerSays(flow, report.check);
    foundAndDone(doc, flow, report);
    partsFitted(doc, flow, report);
    named(flow, "Calculated", report.computed);
    named(flow, "Take care", report.cautions, "bold");
    named(
      flow,
      "Left out on purpose",
      report.leftOut.map(({ name, reason }) => `${name}: ${reason}`),
    );
    named(flow, "Watch next time", report.watch);
    shownPictures(doc, flow, report, pictures);
    testResults(doc, flow, report);
    care(flow, report, locale);
    price(flow, report);
    corrections(flow, report);
    for (const words of [report.oldParts, report.warranty]) if (words) flow.line("sans", 11, words);
    if (report.fileHash) flow.line("mono", 7, `This job as one file, SHA-256 ${report.fileHash}`);
    flow.line("sans", 9, "Makers' instructions and local rules come before anything advised here.");
  });

/** A heading with its lines; nothing where there are none. */
function named(flow: Flow, heading: string, lines: readonly string[], font: "sans" | "bold" = "sans"): void {
  if (!lines.length) return;
  flow.heading(heading);
  for (const words of lines) flow.line(font, 11, words);
}

function head(doc: Pdf, flow: Flow, report: Report): void {
  const { left, right, line } = flow;
  doc
    .font("bold")
    .fontSize(22)
    .text(report.check ? "Purchase check" : "Service report", left, flow.y, { lineBreak: false });
  drawQr(doc, report.tag, right - 26 * mm, flow.y - 4 * mm, 26 * mm);
  flow.y += 10 * mm;
  line("sans", 11, report.shopName, left, 130 * mm);
  line("mono", 14, report.tag, left, 130 * mm);
  line("bold", 12, `${report.reel}, ${report.hand}${report.serial ? `, serial ${report.serial}` : ", no serial"}`, left, 140 * mm);
  if (report.made) line("sans", 11, report.made, left, 140 * mm);
  const returned = report.closedOn ? `, returned ${report.closedOn}` : ", not returned yet";
  line("sans", 11, `For ${report.owner}. Received ${report.openedOn}${returned}.`, left, 140 * mm);
  line("sans", 11, `It came for: ${report.cameFor}.${report.workedBy ? ` Worked on by ${report.workedBy}.` : ""}`);
  for (const words of report.parcels) line("sans", 10, `${words}.`);
}

function reported(flow: Flow, report: Report): void {
  flow.heading("You reported");
  flow.line("sans", 11, report.complaint || "Nothing in particular.");
  for (const answer of report.answers) flow.line("bold", 11, answer);
  if (report.answer) flow.line("bold", 11, `Our answer: ${report.answer}`);
  if (report.ourMistake) flow.line("bold", 11, `Our own mistake: ${report.ourMistake}`);
  if (report.asFound) flow.line("sans", 11, `As received: ${report.asFound}.`);
  if (report.declined === null) return;
  flow.heading("Returned unrepaired");
  flow.line("bold", 11, report.declined);
}

function sellerSays(flow: Flow, { claims }: NonNullable<Report["check"]>): void {
  if (!claims.length) return;
  flow.heading("Seller says");
  for (const { claim, standing, because } of claims) {
    flow.line("bold", 11, `“${claim}”: ${standing}`);
    if (because) flow.line("sans", 11, because, flow.left + 6 * mm, flow.right - flow.left - 6 * mm);
  }
  flow.line("sans", 9, "One contradiction is enough; “nothing contradicts it” covers only what was checked.");
}

function foundAndDone(doc: Pdf, flow: Flow, report: Report): void {
  const found = saying(report.told, "found");
  const done = saying(report.told, "done", "seals", "oil", "checks");
  if (found.length) flow.heading("What was found");
  for (const words of found) flow.line("sans", 11, words);
  if (report.check && report.faults.length)
    flow.line("bold", 11, `Full repair: about ${formatMinor(report.check.putRight)} ${report.price.currency}, tax included.`);
  if (!done.length) return;
  flow.heading("What was done");
  const drawn = report.drawing && report.touched.length ? drawTouched(doc, flow, report.drawing, report.touched) : null;
  // Beside the drawing the lines are narrow, below it they have the whole page.
  const width = flow.right - flow.left;
  for (const words of done) flow.line("sans", 10, words, flow.left, drawn && flow.y < drawn ? width - drawingWidth - 4 * mm : width);
  if (drawn && flow.y < drawn && doc.bufferedPageRange().count === 1) flow.y = drawn;
}

function partsFitted(doc: Pdf, flow: Flow, report: Report): void {
  const { left, right, room } = flow;
  if (report.parts.length) flow.heading("Parts fitted");
  for (const part of report.parts) {
    // A piece without a number has its place as well.
    const from = left + (part.number ? 52 : 24) * mm;
    const words = { x: from, width: right - 24 * mm - from };
    const height = Math.max(9 * mm, doc.font("sans").fontSize(11).heightOfString(part.words, { width: words.width }) + 3 * mm);
    room(height);
    const glyph = drawGlyph(part.type.shape, { turned: part.turned, material: part.type.material, leastThicknessMm: 1.2 });
    const scale = Math.min((7.5 * mm) / (glyph.up + glyph.down), (18 * mm) / (glyph.right - glyph.left));
    drawGlyphPaths(
      doc,
      glyph.paths,
      left + 10 * mm - ((glyph.left + glyph.right) / 2) * scale,
      flow.y + 4.2 * mm + ((glyph.up - glyph.down) / 2) * scale,
      scale,
    );
    doc
      .font("mono")
      .fontSize(10)
      .text(part.number, left + 24 * mm, flow.y + 2.6 * mm, { width: 27 * mm });
    doc
      .font("sans")
      .fontSize(11)
      .text(part.words, words.x, flow.y + 2.4 * mm, { width: words.width });
    doc
      .font("mono")
      .fontSize(10)
      .text(formatMinor(part.price), right - 22 * mm, flow.y + 2.6 * mm, { width: 22 * mm, align: "right" });
    flow.y += height;
  }
}

/** Three in a row, each with what it shows. One whose file is gone is left out. */
function shownPictures(doc: Pdf, flow: Flow, report: Report, bytes: ReadonlyMap<string, Buffer>): void {
  const shown = report.pictures.flatMap(({ hash, shows }) => (bytes.has(hash) ? [{ bytes: bytes.get(hash)!, shows }] : []));
  const [columns, height] = [3, 46 * mm];
  const width = (flow.right - flow.left) / columns;
  for (let from = 0; from < shown.length; from += columns) {
    flow.room(height);
    for (const [i, picture] of shown.slice(from, from + columns).entries()) {
      const x = flow.left + i * width;
      doc.image(picture.bytes, x, flow.y, { fit: [width - 3 * mm, height - 7 * mm] });
      doc
        .font("sans")
        .fontSize(9)
        .text(picture.shows, x, flow.y + height - 6 * mm, { width: width - 3 * mm, height: 5 * mm, ellipsis: true });
    }
    flow.y += height;
  }
}

function testResults(doc: Pdf, flow: Flow, report: Report): void {
  const made = report.tests.filter(({ before, after }) => before || after);
  const leftOut = report.tests.filter((test) => test.leftOut.length);
  if (!made.length && !leftOut.length) return;
  const anyAfter = made.some(({ after }) => after);
  flow.heading(report.check ? "Test results" : anyAfter ? "Before and after" : "Tested when it came");
  // What was good before and after, in a word each, needs no row of its own.
  const plain = report.check ? [] : made.filter(isPlain);
  for (const test of made.filter((one) => !plain.includes(one)))
    drawTest(doc, flow, report.check ? { ...test, after: test.before, before: "", bars: null } : test);
  if (plain.length) flow.line("sans", 11, `Good before and after: ${plain.map(({ name }) => name).join("; ")}.`);
  for (const { name, leftOut: why } of leftOut) flow.line("sans", 10, `${name} left out, ${why.join("; ")}.`);
  const notBetter = report.tests.filter(({ change }) => change === changeWords.worse).map(({ name }) => name);
  if (notBetter.length && !report.check)
    flow.line("bold", 11, `No better than received: ${notBetter.join(", ")}.${report.watch.length ? " See what to watch above." : ""}`);
  if (report.tests.some((test) => test.simulated))
    flow.line("sans", 9, "Readings marked with a dashed bar came from a simulated instrument.");
  if (!report.check && report.tests.some(({ bars }) => bars !== null))
    flow.line(
      "sans",
      9,
      "Pulls are compared as torque at the spool when they were taken at different line radii; a change under 5 % counts as the same.",
    );
}

/** Good by word when it came and now: there is nothing to set beside each other. */
const isPlain = ({ before, after, bars }: ReportTest): boolean => bars === null && before === verdictGood && after === verdictGood;
const verdictGood: Verdict = "good";

function care(flow: Flow, report: Report, locale: Locale): void {
  flow.heading("Care and next service");
  for (const words of report.advice) flow.line("sans", 11, words);
  flow.line("bold", 11, `Next service: ${report.nextService}`);
  for (const due of report.due.filter(({ id }) => id !== "whole"))
    flow.line(
      "sans",
      11,
      `${due.component}: ${due.what}, ${due.byOwner ? "yourself, " : ""}by ${DateTime.fromISO(due.on).setLocale(locale).toLocaleString(DateTime.DATE_MED)} (${due.because})`,
    );
  if (report.notServed.length) flow.line("sans", 11, `Not serviced here yet: ${report.notServed.join(", ")}.`);
}

function price(flow: Flow, report: Report): void {
  const { price: sum } = report;
  flow.heading("Price");
  for (const work of sum.workLines) flow.line("sans", 10, minutesLine(work, formatMinor));
  for (const [words, amount] of [
    [
      sum.workLines.some(({ price: fixed, minutes }) => fixed === null && minutes > 0)
        ? `Work, ${formatMinor(sum.anHour)} an hour`
        : "Work",
      sum.labour,
    ],
    ...(sum.parts ? ([["Parts", sum.parts]] as const) : []),
    ...sum.extras.map((extra) => [extra.words, extra.price] as const),
    ...(sum.discount ? ([["Discount", -sum.discount]] as const) : []),
    [`Tax ${sum.taxPercent} %`, sum.tax],
  ] as const)
    flow.amount(words, formatMinor(amount));
  flow.amount(`Total, ${sum.currency}`, formatMinor(sum.total), 13);
  if (sum.deposit)
    flow.line(
      "sans",
      11,
      `Paid at the counter: ${formatMinor(sum.deposit)}. ${sum.total < sum.deposit ? "Refund" : "To pay"}: ${formatMinor(Math.abs(sum.total - sum.deposit))}.`,
    );
}

function corrections(flow: Flow, report: Report): void {
  named(
    flow,
    "Added after the return",
    report.corrections.map(
      ({ on, words, amount }) =>
        `${on}: ${words}${amount ? ` (${amount > 0 ? "paid" : "given back"} ${formatMinor(Math.abs(amount))} ${report.price.currency})` : ""}`,
    ),
  );
}

const drawingWidth = 72 * mm;

/** The whole reel in a row, assembly by assembly: what was touched in ink, the rest faint. @returns where it ends, points from the top. */
function drawTouched(doc: Pdf, flow: Flow, plate: Plate, seats: readonly string[]): number {
  const touched = new Set(seats);
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

/** One test: name, before small, after large, and two bars to one scale. As high as its longest words. */
export function drawTest(doc: Pdf, flow: Flow, test: ReportTest): void {
  const columns = [
    { font: "sans", size: 11, words: test.name, x: 0, width: 46 * mm, down: 2 },
    { font: "mono", size: 9, words: test.before, x: 48 * mm, width: 32 * mm, down: 4 },
    { font: "mono", size: 12, words: test.after, x: 82 * mm, width: 34 * mm, down: 1 },
    { font: "bold", size: 11, words: test.change, x: 118 * mm, width: 24 * mm, down: 2 },
  ] as const;
  const heights = columns.map(({ font, size, words, width, down }) =>
    words ? down + doc.font(font).fontSize(size).heightOfString(words, { width }) : 0,
  );
  const height = Math.max(test.bars ? 18 : 0, ...heights) + 1;
  flow.room(height);
  for (const { font, size, words, x, width, down } of columns)
    if (words)
      doc
        .font(font)
        .fontSize(size)
        .text(words, flow.left + x, flow.y + down, { width });
  if (test.bars) drawBars(doc, test.bars, test.simulated, flow.left + 143 * mm, flow.y);
  flow.y += height;
}

function drawBars(doc: Pdf, bars: NonNullable<ReportTest["bars"]>, simulated: boolean, from: number, y: number): void {
  const most = Math.max(bars.before, bars.after, 1e-9);
  const length = 38 * mm;
  doc.save();
  if (simulated) doc.dash(2, { space: 1.5 });
  doc
    .lineWidth(0.5)
    .rect(from, y + 2, (length * bars.before) / most, 5)
    .stroke();
  doc
    .lineWidth(1.4)
    .rect(from, y + 9, (length * bars.after) / most, 7)
    .stroke();
  doc.restore();
}
