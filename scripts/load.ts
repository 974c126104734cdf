import { randomUUID } from "node:crypto";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import Database from "better-sqlite3";
import { choosePort, startServer } from "./setup.mjs";

export interface Load {
  readonly requests: number;
  readonly presses: number;
  /** Answers other than a page or a press that was done. */
  readonly errors: number;
  /** Milliseconds under which half, and 95 of 100, of all answers came. */
  readonly half: number;
  readonly most: number;
  /** Megabytes of the server after its first third, and at the end. */
  readonly memory: readonly [early: number, late: number];
}

const memoryMb = (pid: number): number => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))![1]) / 1024;
const pause = (ms: number) => new Promise<void>((settle) => setTimeout(settle, ms));

/**
 * Twenty people who read and five who work at once: each reader looks at another page about once a second, each worker takes a part off
 * and puts it back on a reel of their own.
 */
export async function shopUnderLoad(data: string, seconds: number): Promise<Load> {
  const db = new Database(join(data, "zorbek.db"), { readonly: true });
  const open = db
    .prepare(
      "SELECT id, tag FROM job WHERE closed_at IS NULL AND station IN ('strip', 'clean', 'parts', 'build', 'quote', 'find', 'test') ORDER BY id DESC LIMIT 40",
    )
    .all() as { id: number; tag: string }[];
  const closed = db.prepare("SELECT tag FROM job WHERE closed_at IS NOT NULL ORDER BY id DESC LIMIT 40").pluck().all() as string[];
  const seats = new Map(
    open.map(({ id }) => [
      id,
      db
        .prepare(
          `SELECT position.id FROM position JOIN job ON job.model_version_id = position.model_version_id
           WHERE job.id = ? AND NOT EXISTS (SELECT 1 FROM tray_well WHERE tray_well.job_id = job.id) ORDER BY ordinal DESC LIMIT 1`,
        )
        .pluck()
        .get(id) as string | undefined,
    ]),
  );
  db.close();
  const pages = [
    "/",
    "/bench",
    "/stores",
    "/ledger",
    "/library",
    "/counter",
    "/api/find?q=ma",
    ...open.map(({ tag }) => `/bench/${tag}/strip`),
    ...closed.map((tag) => `/bench/${tag}/return`),
  ];
  const workers = open.filter(({ id }) => seats.get(id)).slice(0, 5);
  const { child, address } = await startServer({ port: await choosePort(undefined), data, env: { ZORBEK_NO_BACKUP: "1" } });
  const times: number[] = [];
  let [errors, presses, over] = [0, 0, false];
  const timed = async (work: () => Promise<boolean>) => {
    const began = performance.now();
    const well = await work().catch(() => false);
    times.push(performance.now() - began);
    if (!well) errors++;
  };
  const reader = async (n: number) => {
    for (let i = n; !over; i += 7) {
      await timed(async () => {
        const response = await fetch(address + pages[i % pages.length]!);
        await response.arrayBuffer();
        return response.ok;
      });
      await pause(600 + (n % 5) * 100);
    }
  };
  const press = (act: string, input: object) =>
    timed(async () => {
      const response = await fetch(`${address}/api/press`, {
        method: "POST",
        headers: { "content-type": "application/json", origin: address },
        body: JSON.stringify({ pressId: randomUUID(), act, input }),
      });
      const answer = (await response.json()) as { ok: boolean; message?: string };
      if (answer.ok) presses++;
      // What the bench itself refuses, in words, is an answer.
      return response.status === 200;
    });
  const worker = async ({ id }: { id: number }) => {
    while (!over) {
      await press("take-parts", { jobId: id, positionIds: [seats.get(id)] });
      await pause(400);
      await press("put-back", { jobId: id });
      await pause(400);
    }
  };
  try {
    const all = [...Array.from({ length: 20 }, (_, n) => reader(n)), ...workers.map(worker)];
    await pause(seconds * 333);
    const early = memoryMb(child.pid!);
    await pause(seconds * 667);
    over = true;
    await Promise.all(all);
    times.sort((a, b) => a - b);
    return {
      requests: times.length,
      presses,
      errors,
      half: times[Math.floor(times.length / 2)]!,
      most: times[Math.floor(times.length * 0.95)]!,
      memory: [early, memoryMb(child.pid!)],
    };
  } finally {
    over = true;
    child.kill();
  }
}
