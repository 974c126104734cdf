import { readFile } from "@/app/server/reading";
import { wordsOfSheet } from "@/data/catalogue/sheets";

/** The words a sheet was read from, to be read again with other columns; 404 for one that keeps none. */
export const GET = readFile("library", (db, { id }: { id: string }) => {
  const words = wordsOfSheet(db, Number(id) || 0);
  return words ? Response.json(words) : new Response(null, { status: 404 });
});
