import { type LotReport, lotSums } from "@/core/lots/lot-report";
import { formatMinor } from "@/core/money/money";
import { makePdf, pointsPerMm as mm } from "./pdf";
import { flowOf } from "./pdf-flow";

const page = { widthMm: 210, heightMm: 297, marginMm: 15 } as const;

/** The sheet of a lot, A4: one block a reel with its mark, what was found, fitted and measured; before them what the lot comes to. */
export const lotReportPdf = (report: LotReport): Promise<Buffer> =>
  makePdf({ ...page, title: `Lot ${report.name}` }, (doc) => {
    const flow = flowOf(doc, page);
    const sums = lotSums(report);
    flow.line("bold", 20, `Lot: ${report.name}`);
    flow.line("sans", 11, `${report.shopName}, for ${report.sender}. ${sums.reels} × ${report.model}, received ${report.openedOn}.`);
    flow.line("bold", 12, `${sums.finished} of ${sums.reels} finished.`);
    if (sums.faults.length) {
      flow.heading("What was found");
      for (const { name, reels } of sums.faults)
        flow.line("sans", 11, `${name}: ${reels} of ${sums.reels} reels (${Math.round((100 * reels) / sums.reels)} %)`);
    }
    if (sums.parts.length) {
      flow.heading("Parts fitted");
      for (const { name, count } of sums.parts) flow.line("sans", 11, `${count} × ${name}`);
    }
    flow.heading("Reel by reel");
    for (const row of report.rows) {
      const rest = [
        row.findings.length ? `Found: ${row.findings.join("; ")}.` : "",
        row.parts.length ? `New: ${row.parts.join(", ")}.` : "",
        row.readings.length ? `${row.readings.join("; ")}.` : "",
        row.watch.length ? `To watch: ${row.watch.join(", ")}.` : "",
      ].filter(Boolean);
      flow.room((10 + 5 * rest.length) * mm);
      doc.lineWidth(0.4).moveTo(flow.left, flow.y).lineTo(flow.right, flow.y).stroke();
      flow.y += 1.2 * mm;
      const top = flow.y;
      flow.line(
        "bold",
        11,
        [row.mark || row.tag, row.serial && `serial ${row.serial}`, row.state].filter(Boolean).join(", "),
        flow.left,
        110 * mm,
      );
      doc
        .font("mono")
        .fontSize(10)
        .text(row.tag, flow.left + 112 * mm, top, { lineBreak: false });
      doc
        .font("mono")
        .fontSize(10)
        .text(formatMinor(row.totalMinor), flow.right - 30 * mm, top, { width: 30 * mm, align: "right" });
      for (const words of rest) flow.line("sans", 10, words, flow.left + 5 * mm);
    }
    flow.y += 3 * mm;
    flow.amount(`The lot, ${report.currency}, tax included`, formatMinor(sums.totalMinor), 13);
  });
