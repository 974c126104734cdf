import { csvResponse } from "@/app/server/files";
import { rangeOf } from "@/app/server/range";
import { readFile } from "@/app/server/reading";
import { bookExport } from "@/data/papers/book-of-papers";
import { paymentsCsv } from "@/formats/book-csv";

/** Every payment of a time, for the book-keeper. */
export const GET = readFile("ledger", (db, _: object, request) => {
  const { from, to } = rangeOf(new URL(request.url).searchParams);
  return csvResponse(paymentsCsv(bookExport(db, from, to).payments), `payments-${from}-to-${to}.csv`);
});
