import { z } from "zod";
import { loadSolver, type Solver } from "@/core/blind-spots/least-cover";
import { familyWith } from "@/core/families/families";
import { matchSeats } from "@/core/sheets/match-seats";
import { readList } from "@/core/sheets/read-list";
import { listFields } from "@/core/sheets/sheet";
import { familyIds } from "@/core/vocabulary/families";
import { type Call, call } from "./call-of";

let solver: Solver | null = null;

const length = z.number().min(-1e6).max(1e6);

/** A maker's sheet: its list read from words with boxes, and its rows found among the seats of a family. */
export const sheetCalls: Readonly<Record<string, Call>> = {
  "read-list": call(
    z.object({
      /** Words or runs of words; x to the right, y downward from the page's corner, w and h their size, in any one unit. */
      words: z
        .array(
          z.object({
            text: z.string().max(400),
            ...{ x: length, y: length, w: z.number().min(0).max(1e6), h: z.number().min(0).max(1e6) },
            page: z.number().int().min(1).max(1000).optional(),
            turned: z.number().min(-360).max(360).optional(),
          }),
        )
        .max(20_000),
      /** Its columns, where they are known: what stands between these two places; null for one that is not read. */
      columns: z
        .array(
          z.object({
            page: z.number().int().min(1).max(1000),
            block: z.number().int().min(0).max(9),
            field: z.enum(listFields).nullable(),
            ...{ from: length, to: length },
          }),
        )
        .max(80)
        .optional(),
    }),
    ({ words, columns }) => readList(words, columns ? { columns } : {}),
  ),
  "match-seats": {
    ...call(
      z.object({
        rows: z
          .array(z.object({ description: z.string().max(400), quantity: z.number().int().min(0).max(999).nullish() }))
          .min(1)
          .max(400),
        /** Where it is known; else the list tells. */
        family: z.enum(familyIds).nullish(),
      }),
      ({ rows, family }) => {
        if (!solver) throw new Error("match-seats: the solver is not loaded yet");
        const found = matchSeats(
          solver,
          rows.map(({ description, quantity }) => ({ description, quantity: quantity ?? undefined })),
          family ?? null,
        );
        const names = new Map(familyWith(found.family, found.chosen).anatomy.positions.map(({ id, name }) => [id, name]));
        return { ...found, matches: found.matches.map((one) => ({ ...one, seat: names.get(one.positionId) })) };
      },
    ),
    limitMs: () => 30_000,
    prepare: async () => {
      solver = await loadSolver();
    },
  },
};
