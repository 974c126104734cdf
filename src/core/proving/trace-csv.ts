import Papa from "papaparse";
import { speedsFromPulses } from "@/core/proving/spin-trace";
import { mostSamples, type TraceSample } from "@/core/proving/trace";
import { fail, ok, type Result } from "@/core/result";

const number = (text: string): number => (text.trim() === "" ? Number.NaN : Number(text.trim().replace(",", ".")));
const mostRows = 100_000;

/**
 * Reads a trace from a spreadsheet: time and value, with or without a head. Time is in seconds unless its head says ms; one column alone holds
 * the times of a pickup's pulses, one a turn. A long trace is thinned to what is kept.
 * @returns refusals that name the row.
 */
export function readTraceCsv(text: string): Result<TraceSample[], "empty" | "bad-row" | "backwards" | "too-long"> {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), { skipEmptyLines: "greedy", delimitersToGuess: [";", "\t", ","] });
  if (data.length > mostRows) return fail("too-long", `More than ${mostRows} rows. Cut it to the pull itself.`);
  const head = data[0]?.some((cell) => Number.isNaN(number(cell))) ? data[0] : null;
  const rows = head ? data.slice(1) : data;
  if (rows.length < 2) return fail("empty", "There is no trace in this file: it needs rows of time and value.");
  const toMs = /ms|milli/i.test(head?.[0] ?? "") ? 1 : 1000;
  const pulses = rows.every((row) => row.filter((cell) => cell.trim() !== "").length === 1);
  const samples: TraceSample[] = [];
  for (const [i, row] of rows.entries()) {
    const [time, value] = [number(row[0] ?? ""), pulses ? 0 : number(row[1] ?? "")];
    const line = i + 1 + (head ? 1 : 0);
    if (!Number.isFinite(time) || !Number.isFinite(value))
      return fail("bad-row", `Row ${line} is no time and value: “${row.join(" ; ")}”.`);
    if (samples.length && time * toMs <= samples.at(-1)!.tMs)
      return fail("backwards", `Row ${line}: its time is not later than the row before.`);
    samples.push({ tMs: time * toMs, value });
  }
  const trace = pulses
    ? speedsFromPulses(
        samples.map(({ tMs }) => tMs),
        1,
      )
    : samples;
  const every = Math.ceil(trace.length / mostSamples);
  const first = trace[0]!.tMs;
  return ok(trace.filter((_, i) => i % every === 0).map(({ tMs, value }) => ({ tMs: tMs - first, value })));
}
