import { csvResponse } from "@/app/server/files";
import { rangeOf } from "@/app/server/range";
import { readFile } from "@/app/server/reading";
import { countedJobs } from "@/data/figures/counted-jobs";
import { figuresCsv } from "@/formats/figures-csv";

/** The figures of a time, as a table. */
export const GET = readFile("ledger", (db, _: object, request) => {
  const { from, to } = rangeOf(new URL(request.url).searchParams);
  return csvResponse(figuresCsv(countedJobs(db, from, to), from, to), `figures-${from}-to-${to}.csv`);
});
