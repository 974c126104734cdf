import { csvResponse } from "@/app/server/files";
import { rangeOf } from "@/app/server/range";
import { readFile } from "@/app/server/reading";
import { bookExport } from "@/data/papers/book-of-papers";
import { papersCsv } from "@/formats/book-csv";

/** Every paper of a time, for the book-keeper. */
export const GET = readFile("ledger", (db, _: object, request) => {
  const { from, to } = rangeOf(new URL(request.url).searchParams);
  return csvResponse(papersCsv(bookExport(db, from, to).papers), `papers-${from}-to-${to}.csv`);
});
