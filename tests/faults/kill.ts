import { spawn } from "node:child_process";
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { build } from "esbuild";
import { actOf } from "@/app/acts/registry";
import { canonicalHash } from "@/data/database/archive";
import { type Db, openDatabase } from "@/data/database/database";
import { pressOnce } from "@/data/database/press";
import { ensureFirstPerson } from "@/data/shop/people";
import { byHand } from "../any-job/by-hand";
import { type Chance, chanceOf } from "../any-job/chance";
import { openBench, type Press } from "../any-job/job";
import { offeredAt, pages } from "../any-job/offered";

/** What a child is told. */
export interface Killed {
  readonly directory: string;
  readonly press: Press;
  readonly now: string;
  /** The statement at which it dies; 0 for none. */
  readonly killAt: number;
}

/** A press that writes much, and the data as it was before. */
export interface Case {
  readonly press: Press;
  readonly now: string;
  readonly data: Buffer;
  readonly rows: number;
}

const changesOf = (db: Db) => db.prepare("SELECT total_changes()").pluck().get() as number;

/** What a shop does with many rows at once, beside the jobs. */
const large = (customerId: number): Press[] => [
  [
    "bring-in",
    {
      ...{ kind: "parts", file: "list.csv", uncopied: true, columns: { number: 0, name: 1, price: 2 } },
      rows: Array.from({ length: 300 }, (_, i) => [`KL-${i}`, `${i % 3 ? "Washer" : "Bearing"} ${i}`, `${i}.50`]),
    },
  ],
  [
    "open-lot",
    {
      ...{ name: "A lot of 34", customerId: String(customerId), customerName: "", modelId: "skerry-30", water: "salt", tripsPerYear: "30" },
      ...{ life: [], dragWish: "shop", depth: "", limit: "", promisedOn: "2099-03-20" },
      rows: Array.from({ length: 34 }, (_, i) => ({
        serial: `LOT-${i}`,
        mark: `${i}`,
        complaint: "stiff",
        condition: "",
        depth: "",
        drag: "",
      })),
    },
  ],
];

/** The acts that write most, each at its largest, out of so many jobs of chance. */
export function largestActs(seeds: readonly number[], most: number): Case[] {
  const best = new Map<string, Case>();
  for (const seed of seeds) {
    const bench = openBench(seed);
    const { db, ctx, customerId } = bench.shop;
    const beside = large(customerId);
    let page = 0;
    for (let n = 0; n < 80 && bench.job().closedAt === null; n++) {
      const offered = bench.chance.yes(0.7) && page < pages.length ? offeredAt(pages[page]!, bench) : null;
      if (!offered && bench.chance.yes(0.5)) page++;
      const press = (seed === seeds[0] && beside.pop()) || offered || byHand(bench);
      const data = db.serialize();
      const before = changesOf(db);
      if (bench.press(press) !== null) continue;
      const rows = changesOf(db) - before;
      const [name] = press;
      if (rows > (best.get(name)?.rows ?? 0)) best.set(name, { press, now: ctx.now, data, rows });
    }
    db.close();
  }
  return [...best.values()].sort((a, b) => b.rows - a.rows).slice(0, most);
}

/** The child as one file, so that it starts soon. @returns its path, and what takes it away. */
export async function childProgram(): Promise<{ path: string; clear: () => void }> {
  mkdirSync(join(process.cwd(), ".zorbek"), { recursive: true });
  const folder = mkdtempSync(join(process.cwd(), ".zorbek", "kill-"));
  const path = join(folder, "child.mjs");
  await build({
    ...{ entryPoints: ["tests/faults/child.ts"], outfile: path, bundle: true, platform: "node", format: "esm", packages: "external" },
    ...{ alias: { "server-only": join(process.cwd(), "tests/nothing.ts") }, logLevel: "error" },
  });
  return { path, clear: () => rmSync(folder, { recursive: true, force: true }) };
}

/** @param afterMs when it is killed from outside, ms after it began its press; null for not at all. */
function runChild(path: string, told: Killed, afterMs: number | null): Promise<{ killed: boolean; statements: number }> {
  return new Promise((settle, fail) => {
    const child = spawn("node", [path, JSON.stringify(told)], { stdio: ["ignore", "pipe", "inherit"] });
    let said = "";
    child.stdout.on("data", (words: Buffer) => {
      said += String(words);
      if (afterMs !== null && said === "now\n") setTimeout(() => child.kill("SIGKILL"), afterMs);
    });
    child.once("exit", (code, signal) => {
      if (signal !== "SIGKILL" && code !== 0) fail(new Error(`the child failed at ${JSON.stringify(told.press).slice(0, 200)}`));
      else settle({ killed: signal === "SIGKILL", statements: Number(said.split("\n")[1] ?? 0) });
    });
  });
}

const countsOf = (db: Db): string => {
  const tables = db.prepare("SELECT name FROM sqlite_schema WHERE type = 'table' ORDER BY name").pluck().all() as string[];
  return tables.map((table) => `${table} ${db.prepare(`SELECT count(*) FROM "${table}"`).pluck().get()}`).join(", ");
};

/** Kills one act at so many points, and says what was not whole after one of them. */
export async function killAct(
  program: string,
  { press, now, data }: Case,
  points: number,
  chance: Chance,
): Promise<{ died: number; faults: string[] }> {
  const folder = mkdtempSync(join(tmpdir(), "zorbek-kill-"));
  const faults: string[] = [];
  let died = 0;
  const fresh = (name: string): string => {
    const directory = mkdtempSync(join(folder, `${name}-`));
    writeFileSync(join(directory, "zorbek.db"), data);
    return directory;
  };
  const look = <T>(directory: string, work: (db: Db) => T): T => {
    const db = openDatabase(directory);
    try {
      return work(db);
    } finally {
      db.close();
    }
  };
  const state = (directory: string) => look(directory, (db) => ({ hash: canonicalHash(db), counts: countsOf(db) }));
  try {
    const before = state(fresh("before"));
    const whole = fresh("whole");
    const began = performance.now();
    const { statements } = await runChild(program, { directory: whole, press, now, killAt: 0 }, null);
    const wholeMs = performance.now() - began;
    const after = state(whole);
    for (let point = 0; point < points; point++) {
      const directory = fresh("killed");
      const inside = chance.yes(0.6);
      const killAt = inside ? 1 + Math.floor(chance.number() * statements) : 0;
      // From the first moment of the press to a little after its end, which is the smaller part of a process's life.
      const { killed } = await runChild(
        program,
        { directory, press, now, killAt },
        inside ? null : chance.number() ** 3 * Math.min(60, wholeMs / 4),
      );
      died += Number(killed);
      const where = `${press[0]} killed ${inside ? `at statement ${killAt} of ${statements}` : "from outside"}`;
      look(directory, (db) => {
        if (db.pragma("integrity_check", { simple: true }) !== "ok") faults.push(`${where}: the file is damaged`);
        if ((db.pragma("foreign_key_check") as unknown[]).length) faults.push(`${where}: rows that belong to nothing`);
        const isDone = db.prepare("SELECT 1 FROM press WHERE id = 'press-to-be-killed'").get() !== undefined;
        if (!killed && !isDone) faults.push(`${where}: it said it was done, and is not`);
        if (countsOf(db) !== (isDone ? after : before).counts) faults.push(`${where}: half of it is there`);
        if (!isDone && canonicalHash(db) !== before.hash) faults.push(`${where}: something of it stayed`);
        // The page sends the same press again.
        const person = ensureFirstPerson(db);
        const { act, run } = actOf(press[0])!;
        pressOnce({ db, person, now }, { id: "press-to-be-killed", action: press[0] }, () =>
          run.run({ db, person, now }, act.input.parse(press[1]) as never),
        );
        if (countsOf(db) !== after.counts) faults.push(`${where}: sent again it was not done once`);
      });
      rmSync(directory, { recursive: true, force: true });
    }
    return { died, faults };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

export { chanceOf };
