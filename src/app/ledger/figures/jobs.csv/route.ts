import { csvResponse } from "@/app/server/files";
import { rangeOf } from "@/app/server/range";
import { readFile } from "@/app/server/reading";
import { countedJobs } from "@/data/figures/counted-jobs";
import { countedJobsCsv } from "@/formats/figures-csv";

/** The jobs behind the figures of a time, as a table. */
export const GET = readFile("ledger", (db, _: object, request) => {
  const { from, to } = rangeOf(new URL(request.url).searchParams);
  return csvResponse(countedJobsCsv(countedJobs(db, from, to)), `jobs-${from}-to-${to}.csv`);
});
