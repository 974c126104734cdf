import { readFileSync } from "node:fs";
import { join } from "node:path";
import Database from "better-sqlite3";
import { openDatabase } from "@/data/database/database";
import { findAnything } from "@/data/database/find";
import { choosePort, startServer } from "./setup.mjs";

export interface PageCost {
  readonly name: string;
  readonly path: string;
  /** CPU of the server for one answer, milliseconds: user and system together. */
  readonly cpuMs: number;
  readonly kb: number;
}

/** Clock ticks a second of /proc (Linux's USER_HZ). */
const ticksPerSecond = 100;
const cpuMs = (pid: number): number => {
  const fields = readFileSync(`/proc/${pid}/stat`, "utf8")
    .replace(/^.*\) /, "")
    .split(" ");
  return ((Number(fields[11]) + Number(fields[12])) * 1000) / ticksPerSecond;
};

/** A page with nothing on it: the frame of every page around a few words. */
const emptyPage = "/nothing-is-here";

/** Pages of a shop that has work in it, with what stands there now. */
function pagesOf(data: string): [name: string, path: string][] {
  const db = new Database(join(data, "zorbek.db"), { readonly: true });
  const at = (station: string) =>
    db.prepare("SELECT tag FROM job WHERE station = ? AND closed_at IS NULL ORDER BY id DESC LIMIT 1").pluck().get(station) as
      | string
      | undefined;
  const busiest = db.prepare("SELECT reel_id FROM job GROUP BY reel_id ORDER BY count(*) DESC LIMIT 1").pluck().get() as number;
  const customer = db.prepare("SELECT customer_id FROM job GROUP BY customer_id ORDER BY count(*) DESC LIMIT 1").pluck().get() as number;
  const model = db.prepare("SELECT model_id FROM reel GROUP BY model_id ORDER BY count(*) DESC LIMIT 1").pluck().get() as string;
  const stations = ["test", "find", "quote", "strip", "clean", "parts", "build", "prove", "return"]
    .map((station) => [station, at(station)] as const)
    .flatMap(([station, tag]): [string, string][] => (tag ? [[station, `/bench/${tag}/${station}`]] : []));
  db.close();
  return [
    ["rack", "/"],
    ["counter", "/counter"],
    ["bench", "/bench"],
    ["stores", "/stores"],
    ["bins", "/stores/bins"],
    ["suppliers", "/stores/suppliers"],
    ["library", "/library"],
    ["model", `/library/${model}`],
    ["reels-of-model", `/library/${model}/reels`],
    ["gauges", "/gauges"],
    ["ledger", "/ledger"],
    ["ledger-customer", `/ledger?customer=${customer}`],
    ["reel", `/ledger/reel/${busiest}`],
    ["papers", "/ledger/papers"],
    ["papers-open", "/ledger/papers?open=1"],
    ["figures", "/ledger/figures"],
    ["figure-jobs", "/ledger/figures/jobs"],
    ["model-record", `/library/${model}/record`],
    ["hours", "/rack/hours"],
    ["season", "/rack/season"],
    ["shop", "/shop"],
    ...stations,
  ];
}

/** What each page costs the server and how large it is, with what an empty page costs in the same run first. @param runs answers of each. */
export async function pageCosts(data: string, runs = 24): Promise<PageCost[]> {
  const { child, address } = await startServer({ port: await choosePort(undefined), data, env: { ZORBEK_NO_BACKUP: "1" } });
  const cost = async (name: string, path: string): Promise<PageCost> => {
    let bytes = 0;
    const answer = async () => {
      bytes = (await (await fetch(address + path)).arrayBuffer()).byteLength;
    };
    for (let i = 0; i < 4; i++) await answer();
    const before = cpuMs(child.pid!);
    for (let i = 0; i < runs; i++) await answer();
    return { name, path, cpuMs: (cpuMs(child.pid!) - before) / runs, kb: bytes / 1024 };
  };
  try {
    // Warm first: the compiler of the machine has to have seen what all pages share.
    for (let i = 0; i < 60; i++) await (await fetch(address + emptyPage)).text();
    const rows = [await cost("empty", emptyPage)];
    for (const [name, path] of pagesOf(data)) rows.push(await cost(name, path));
    // Once more at the end: what the machine did meanwhile is in both.
    const again = await cost("empty", emptyPage);
    return [{ ...again, cpuMs: (again.cpuMs + rows[0]!.cpuMs) / 2 }, ...rows.slice(1)];
  } finally {
    child.kill();
  }
}

/** Milliseconds of the finder over HTTP, and of an answer without content together with the finder's own query: medians over names that are there. */
export async function finderCost(data: string): Promise<{ routeMs: number; queryMs: number; rows: number }> {
  const { child, address } = await startServer({ port: await choosePort(undefined), data, env: { ZORBEK_NO_BACKUP: "1" } });
  const db = openDatabase(data);
  const words = (
    db
      .prepare("SELECT substr(title, 1, 5) FROM find WHERE kind IN ('customer', 'reel', 'job') ORDER BY rowid DESC LIMIT 400")
      .pluck()
      .all() as string[]
  ).filter((_, i) => i % 8 === 0);
  const median = async (work: (word: string) => unknown): Promise<number> => {
    for (const word of words.slice(0, 10)) await work(word);
    const times: number[] = [];
    for (const word of words) {
      const began = performance.now();
      await work(word);
      times.push(performance.now() - began);
    }
    return times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!;
  };
  const get = async (path: string) => (await fetch(address + path)).text();
  try {
    const routeMs = await median((word) => get(`/api/find?q=${encodeURIComponent(word)}`));
    const emptyMs = await median(() => get("/api/find?q="));
    const ownMs = await median((word) => findAnything(db, word));
    return { routeMs, queryMs: emptyMs + ownMs, rows: db.prepare("SELECT count(*) FROM find").pluck().get() as number };
  } finally {
    db.close();
    child.kill();
  }
}
