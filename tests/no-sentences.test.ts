import { readdirSync, readFileSync } from "node:fs";
import { expect, it } from "vitest";

/**
 * Where words are read, and why: what somebody typed, what another program wrote, a search. Everywhere else what is known is a value, and words are made of it
 * last.
 */
const readsWords: Readonly<Record<string, string>> = {
  "src/core/anatomy/material.ts": "the one reader of materials, as people type them",
  "src/core/anatomy/read-older.ts": "models from before these were values",
  "src/core/anatomy/serial.ts": "patterns that a maker's serials are typed as",
  "src/core/anatomy/shared-name.ts": "makes a name of names; nothing is decided by it",
  "src/core/bring-in/kinds.ts": "cells of somebody's spreadsheet",
  "src/core/families/ledger-defaults.ts": "drops in the amounts that templates write down, read once as a template is made",
  "src/core/lubrication/products.ts": "the one reader of products, as people type them",
  "src/core/ordering/price-list.ts": "headings of a supplier's list",
  "src/core/proving/trace-csv.ts": "an instrument's file",
  "src/core/quote/call-for.ts": "a customer's wish, as it was said",
  "src/core/sheets/list-fields.ts": "cells of a maker's sheet",
  "src/core/sheets/sanity.ts": "cells of a maker's sheet",
  "src/core/sheets/trade-words.ts": "the one reader of what lists call parts",
  "src/core/safety/linings.ts": "the one reader of linings, as people type them",
  "src/data/customers/reels.ts": "a search",
  "src/data/diagnosis/knowledge.ts": "puts names for ids",
  "src/data/ledger/reel-past.ts": "a search",
  "src/data/papers/book-of-papers.ts": "a search",
  "src/data/database/archive.ts": "names of files",
  "src/data/database/backup.ts": "names of files",
  "src/data/database/data-copy.ts": "names of files",
  "src/data/database/database.ts": "names of files, and what the system calls a fault",
  "src/data/database/doctor.ts": "names of files",
  "src/data/database/photos.ts": "what a drawing's file may not hold, and what the image library calls a fault",
  "src/data/database/sweep.ts": "names of files",
  "src/data/database/trouble.ts": "what the database and the system call a fault",
  "src/data/shop/bring-in.ts": "what the database calls a fault",
  "src/data/teardowns/consensus.ts": "takes its own earlier sentence out of a caution, until a lesson is a value of its seat",
  "src/core/sign-in/own-address.ts": "addresses",
  "src/ui/act/patient-fetch.ts": "addresses",
  "src/ui/act/queue-provider.tsx": "the browser's own store",
  "src/ui/library/model-sheet.tsx": "its own address of what is lit up",
  "src/ui/library/seat-panel.tsx": "its own mark of a part that is not in the catalogue yet",
  "src/ui/stores/plan/use-order-plan.ts": "its own mark of what a need is called in the plan",
  "src/app/api/press/route.ts": "the head of a request",
  "src/ui/gauges/fish-run-panel.tsx": "a trace as it is typed",
  "src/ui/bench/test/instrument-panel.tsx": "names of files",
  "src/ui/library/sheet/bring-sheet.tsx": "names of files",
  "src/app/server/action.ts": "what the database calls a fault",
  "src/app/server/socket.ts": "what a browser says of its device",
  "src/formats/owner-file.ts": "the head of a drawing",
  "src/formats/parts-csv.ts": "the mark at the head of a file",
};

const files = ["core", "data", "ui", "app", "formats", "devices"].flatMap((floor) =>
  readdirSync(`src/${floor}`, { recursive: true, encoding: "utf8" })
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\./.test(file))
    .map((file) => `src/${floor}/${file}`),
);

/** Patterns in a file that hold a word of three letters or more; classes of signs are none. */
function patternsOverWords(file: string): string[] {
  const text = readFileSync(file, "utf8")
    .replace(/\/\*[\s\S]*?\*\//g, "")
    .replace(/^\s*\/\/.*$/gm, "");
  const literals = [
    ...text.matchAll(/(?<=[=(,:&|!?[\s])\/(?![/*\s])((?:\\.|\[(?:\\.|[^\]\n])*\]|[^/\\\n[])+)\/[gimsuy]*(?=\s*[.),;\]\n])/g),
  ];
  const worded = literals.filter(([, body]) =>
    /[a-z]{3,}/i.test(body!.replace(/\\[pP]\{[^}]*\}|\\[a-zA-Z]/g, "").replace(/\[[^\]]*\]/g, "")),
  );
  const sql = [...text.matchAll(/\bLIKE\s+[^\n]{0,40}/g)];
  const ends = [...text.matchAll(/\.(?:startsWith|endsWith)\("[^"]*[a-z]{3,}[^"]*"\)/gi)];
  return [...worded, ...sql, ...ends].map(([found]) => found);
}

it("no logic reads sentences: a pattern over words stands only where words come in or are looked for", () => {
  expect(files.length).toBeGreaterThan(600);
  const reading = files.map((file) => ({ file, found: patternsOverWords(file) })).filter(({ found }) => found.length);
  expect(reading.filter(({ file }) => !(file in readsWords))).toEqual([]);
  // An exception that is none any more goes.
  expect(Object.keys(readsWords).filter((file) => !reading.some((one) => one.file === file))).toEqual([]);
});
