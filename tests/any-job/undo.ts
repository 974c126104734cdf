import { getBuild } from "@/data/bench/build";
import { listWells } from "@/data/bench/tray";
import type { Bench, Press } from "./job";

/** What only grows: what happened, who pressed, what a bin gave and took. */
const grows = new Set(["journal", "press", "sqlite_sequence", "kept_report", "stock_move"]);
/** What stays known though its act is taken back: that a piece is in the reel, and what a piece from elsewhere costs today. */
const known = (table: string, row: Record<string, unknown>) =>
  (table === "instance" && row.origin === "found") ||
  table === "job_price" ||
  (table === "part_type" && row.unlisted === 1) ||
  (table === "seat_wear" && row.seen === 0);

/** When a thing was done is no part of what it is; the furthest station is one that was reached. */
const times = /(^|_)(at|on)$|row_version|^id$|_id$|^station$|^state_before$/;

/** All that a shop knows, but when it came to know it. By table, its rows in no order. */
export function everything({ shop: { db } }: Bench): ReadonlyMap<string, readonly string[]> {
  const tables = db.prepare("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name").pluck().all() as string[];
  return new Map(
    tables
      .filter((table) => !grows.has(table))
      .map((table) => [
        table,
        (db.prepare(`SELECT * FROM "${table}"`).all() as Record<string, unknown>[])
          .filter((row) => !known(table, row))
          .map((row) =>
            JSON.stringify(
              Object.entries(row).filter(([column]) => !times.test(column) || column === "position_id" || column === "operation_id"),
            ),
          )
          .sort(),
      ]),
  );
}

/** What differs between two, in words; nothing where they are alike. */
export const differs = (before: ReturnType<typeof everything>, after: ReturnType<typeof everything>): string[] =>
  [...before].flatMap(([table, rows]) => {
    const now = after.get(table)!;
    const gone = rows.filter((row) => !now.includes(row));
    const come = now.filter((row) => !rows.includes(row));
    return gone.length || come.length || rows.length !== now.length
      ? [`${table}: was ${gone.join(" ").slice(0, 300)}, is ${come.join(" ").slice(0, 300)}`]
      : [];
  });

/** Acts with the one that takes them back, where a page has a key for it. */
export function undoOf([act, input]: Press, bench: Bench, before: ReturnType<typeof everything>): Press | null {
  const was = (table: string, id: unknown) => before.get(table)!.some((row) => row.includes(`"${id}"`));
  const { jobId, shop } = bench;
  const told = input as Record<string, unknown>;
  switch (act) {
    case "take-parts": {
      const last = listWells(shop.db, jobId).at(-1)?.well;
      const positionIds = listWells(shop.db, jobId).flatMap(({ well, positionId }) => (well === last ? [positionId] : []));
      return positionIds.length === (told.positionIds as string[]).length ? ["put-back", { jobId, positionIds }] : null;
    }
    case "steps-done":
      return (told.operationIds as string[]).some((id) => was("build_step", id))
        ? null
        : ["step-undone", { jobId, operationId: (told.operationIds as string[])[0]! }];
    case "gate-failed":
    case "step-skipped":
      return !was("build_step", told.operationId) &&
        getBuild(shop.db, bench.job()).steps.some(({ operation, act: of }) => operation.id === told.operationId && of === told.operationId)
        ? ["step-undone", { jobId, operationId: told.operationId }]
        : null;
    case "use":
    case "use-piece":
      return told.also === undefined ? ["unuse", { jobId, positionId: told.positionId }] : null;
    case "leave-in":
      return !told.stays || (told.positionIds as string[]).some((id) => was("seat_in_place", id))
        ? null
        : ["leave-in", { ...told, stays: !told.stays }];
    case "soak": {
      const soakId = listWells(shop.db, jobId).reduce((newest, well) => Math.max(newest, well.soakId ?? 0), 0);
      return ["cancel-soak", { jobId, soakId }];
    }
    default:
      return null;
  }
}
