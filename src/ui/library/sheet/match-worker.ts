import highsLoader from "highs";
import type { Solver } from "@/core/blind-spots/least-cover";
import { type MatchedSheet, matchSeats, type SheetRow } from "@/core/sheets/match-seats";
import type { FamilyId } from "@/core/vocabulary/families";

export interface MatchAsked {
  readonly rows: readonly SheetRow[];
  readonly family: FamilyId | null;
  /** Where the solver's program is. */
  readonly solver: string;
}
export type MatchAnswer = { readonly ok: true; readonly found: MatchedSheet } | { readonly ok: false; readonly words: string };

/** Finds the seats of a list's rows off the page's thread. */
self.onmessage = async ({ data }: MessageEvent<MatchAsked>) => {
  const tell = (answer: MatchAnswer) => self.postMessage(answer);
  try {
    const solver = (await highsLoader({ locateFile: () => data.solver })) as Solver;
    tell({ ok: true, found: matchSeats(solver, data.rows, data.family) });
  } catch (error) {
    tell({ ok: false, words: error instanceof Error ? error.message : String(error) });
  }
};
