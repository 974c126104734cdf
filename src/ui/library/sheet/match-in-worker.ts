import type { MatchedSheet, SheetRow } from "@/core/sheets/match-seats";
import type { FamilyId } from "@/core/vocabulary/families";
import type { MatchAnswer } from "./match-worker";

/** The seats of a list's rows. @throws Error where the solver did not start. */
export function matchInWorker(rows: readonly SheetRow[], family: FamilyId | null): Promise<MatchedSheet> {
  const worker = new Worker(new URL("./match-worker.ts", import.meta.url), { type: "module" });
  return new Promise<MatchedSheet>((settle, refuse) => {
    worker.onmessage = ({ data }: MessageEvent<MatchAnswer>) => (data.ok ? settle(data.found) : refuse(new Error(data.words)));
    worker.onerror = (event) => refuse(new Error(event.message || "the solver did not start"));
    worker.postMessage({ rows, family, solver: "/api/solver" });
  }).finally(() => worker.terminate());
}
