import { DateTime } from "luxon";
import type { ReelHistory } from "@/core/history/history";
import { figureWords } from "@/core/measures/taken";
import type { Locale } from "@/core/vocabulary/locales";
import { makePdf } from "./pdf";
import { flowOf } from "./pdf-flow";

const page = { widthMm: 210, heightMm: 297, marginMm: 18 } as const;

/** A reel's whole history on paper, A4, visit by visit, the oldest first. @param locale how dates are written. */
export const historyPdf = (history: ReelHistory, locale: Locale): Promise<Buffer> =>
  makePdf({ ...page, title: `History of ${history.reel.maker} ${history.reel.model} ${history.reel.serial}` }, (doc) => {
    const { line, heading } = flowOf(doc, page);
    const { reel } = history;
    const words = (isoDay: string) => DateTime.fromISO(isoDay).setLocale(locale).toLocaleString(DateTime.DATE_MED);
    line("bold", 20, `${reel.maker} ${reel.model}`);
    line("mono", 13, reel.serial || "no serial");
    line("sans", 11, `${reel.hand} hand. Kept by ${history.shop}, printed ${words(history.exportedOn)}.`);
    for (const visit of history.before)
      line("sans", 10, `Earlier history, ${visit.on ? words(visit.on) : "day not known"}${visit.words && `: ${visit.words}`}`);
    if (!history.visits.length) line("sans", 11, "Nothing on record yet.");
    for (const visit of history.visits) {
      heading(`${words(visit.takenInOn)}, ${visit.tag}: ${visit.cameFor}`);
      line("sans", 10, visit.handedBackOn ? `Returned ${words(visit.handedBackOn)}.` : "Still in the shop.");
      if (visit.unrepaired !== null) line("sans", 11, `Returned unrepaired: ${visit.unrepaired}`);
      if (visit.found.length) line("sans", 11, `Found: ${visit.found.join("; ")}.`);
      for (const words of visit.done) line("sans", 10, words);
      for (const part of visit.partsFitted) line("sans", 11, `New: ${part.number} ${part.seat}${part.used ? ", used, from a donor" : ""}`);
      for (const part of visit.leftOut) line("sans", 11, `Left out: ${part.seat}, ${part.reason}`);
      for (const part of visit.servedInPlace) line("sans", 11, `Serviced in place: ${part.seat}, ${part.reason}`);
      for (const one of visit.measured)
        line("sans", 10, `${one.name}, ${one.phase} the work: ${figureWords(one)}${one.says && `, ${one.says}`}`);
      const tests = [...new Set(visit.measurements.map(({ test }) => test))];
      for (const test of tests) {
        const said = (phase: "before" | "after") => {
          const one = visit.measurements.find((measured) => measured.test === test && measured.phase === phase);
          if (!one) return "not done";
          return one.value === null ? one.verdict : `${Number(one.value.toFixed(1))} ${one.unit}${one.simulated ? " (simulated)" : ""}`;
        };
        line("sans", 10, `${test}: ${said("before")}, then ${said("after")}`);
      }
    }
    if (history.next.length) {
      heading("Due next (rules of thumb)");
      for (const due of history.next) line("sans", 11, `${words(due.on)}: ${due.component}, ${due.what} (${due.because})`);
    }
  });
