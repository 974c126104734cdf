import { saying } from "@/core/account/sentences";
import { formatMinor } from "@/core/money/money";
import type { Report } from "@/core/report/report";
import { drawQr, makePdf, pointsPerMm as mm } from "./pdf";
import { flowOf } from "./pdf-flow";

const page = { widthMm: 148, heightMm: 210, marginMm: 12 } as const; // A5

/** The report in short, A5: what was done, what is new in it, what to watch, when it is due, what it cost. */
export const shortReportPdf = (report: Report): Promise<Buffer> =>
  makePdf({ ...page, title: `Short report ${report.tag}` }, (doc) => {
    const flow = flowOf(doc, page);
    drawQr(doc, report.tag, flow.right - 22 * mm, flow.y - 2 * mm, 24 * mm);
    const narrow = 95 * mm;
    flow.line("bold", 18, "Short report", flow.left, narrow);
    flow.line("mono", 13, report.tag, flow.left, narrow);
    flow.line("bold", 12, `${report.reel}${report.serial ? `, serial ${report.serial}` : ""}`, flow.left, narrow);
    flow.line("sans", 10, `${report.shopName}, for ${report.owner}, ${report.closedOn ?? report.openedOn}`, flow.left, narrow);
    const list = (heading: string, rows: readonly string[]) => {
      if (!rows.length) return;
      flow.heading(heading);
      for (const row of rows) flow.line("sans", 11, row);
    };
    list("Answered", [report.answer, report.ourMistake && `Our own mistake: ${report.ourMistake}`].filter(Boolean));
    list(
      "Done",
      report.declined === null
        ? saying(report.told, "found", "done", "seals", "oil")
        : [`Unrepaired: ${report.declined}`, ...saying(report.told, "found", "done")],
    );
    list(
      "New in it",
      report.parts.map(({ number, words }) => `${number} ${words}`.trim()),
    );
    list(
      "Before and after",
      report.tests
        .filter(({ bars }) => bars !== null)
        .map(({ name, before, after, change }) => `${name}: ${before}, now ${after}${change ? `: ${change}` : ""}`),
    );
    list("Not fitted, or to watch", [...report.leftOut.map(({ name, reason }) => `${name} left out: ${reason}`), ...report.watch]);
    list("Take care", report.cautions);
    list("Next", [`Service: ${report.nextService}`, report.warranty].filter(Boolean));
    flow.y += 3 * mm;
    flow.amount(`Total, ${report.price.currency}, tax included`, formatMinor(report.price.total), 13);
  });
