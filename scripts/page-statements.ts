import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { openJob } from "@/data/counter/open-job";
import { openDatabase } from "@/data/database/database";
import { listJobsOfLot } from "@/data/jobs/jobs";
import { ensureFirstPerson } from "@/data/shop/people";
import { choosePort, fillDemo, startServer } from "./setup.mjs";

const model = "skerry-30";
const gauge = (name: string) => `/gauges/${name}?job=Z-00024-1`;

/** Every page of the application with something of the demo on it. */
export const pages: readonly string[] = [
  ...["/", "/counter", "/counter/lot", "/bench", "/bench/lot/1", "/stores", "/stores/bins", "/stores/suppliers"],
  "/bench/Z-00009-2/test",
  ...["find", "quote"].map((station) => `/bench/Z-00006-8/${station}`),
  ...["strip", "clean"].map((station) => `/bench/Z-00010-1/${station}`),
  ...["/bench/Z-00005-9/parts", "/bench/Z-00004-5/build", "/bench/Z-00008-4/prove", "/bench/Z-00008-4/return"],
  ...["", "/playbook", "/ledgers", "/editions", "/fits", "/reels", "/record"].map((leaf) => `/library/${model}${leaf}`),
  ...["/library", "/library/part/sk-star", "/library/new-part", "/gauges"],
  ...["drag", "washers", "bearing", "screw", "spin", "gearing", "line"].map(gauge),
  ...[
    "/ledger",
    "/ledger/papers",
    "/ledger/papers/1",
    "/ledger/figures",
    "/ledger/figures/jobs",
    "/ledger/reel/2",
    "/shop",
    "/shop/knowledge",
  ],
  ...["/rack/hours", "/rack/season"],
];

/** Statements each page asks of the database, in a demo and once `more` further jobs stand on its rack. */
export async function pageStatements(data: string, more: number): Promise<{ page: string; first: number; more: number }[]> {
  fillDemo(data, ["--small"]);
  const log = join(data, "statements.log");
  process.env.ZORBEK_STATEMENT_LOG = log;
  const { child, address } = await startServer({ port: await choosePort(undefined), data });
  const count = async (page: string) => {
    await (await fetch(address + page)).text(); // what is read once per process
    writeFileSync(log, "");
    const response = await fetch(address + page);
    const text = await response.text();
    if (!response.ok || /data-error-digest|Something went wrong/.test(text)) throw new Error(`${page} is not shown.`);
    return readFileSync(log, "utf8").split("\n").filter(Boolean).length;
  };
  try {
    const first: number[] = [];
    for (const page of pages) first.push(await count(page));
    openMore(data, more);
    const rows: { page: string; first: number; more: number }[] = [];
    for (const [i, page] of pages.entries()) rows.push({ page, first: first[i]!, more: await count(page) });
    return rows;
  } finally {
    child.kill();
    delete process.env.ZORBEK_STATEMENT_LOG;
  }
}

/** Opens jobs on the rack, every other one of them into the demo's lot. */
function openMore(data: string, count: number): void {
  const db = openDatabase(data);
  const ctx = { db, person: ensureFirstPerson(db), now: new Date().toISOString() };
  const [like] = listJobsOfLot(db, 1);
  if (!like) throw new Error("The demo has no lot.");
  for (let n = 0; n < count; n++)
    openJob(ctx, {
      customer: { id: like.customer.id },
      modelId: n % 2 ? model : like.reel.modelId,
      serial: `BENCH-${n}`,
      hand: "right",
      complaint: "stiff",
      intake: like.intake,
      brought: [],
      limitMinor: 100_000,
      wantedOn: null,
      promisedOn: like.promisedOn,
      ...(n % 2 ? {} : { lot: { id: 1, mark: `b${n}` } }),
    });
  db.close();
}
