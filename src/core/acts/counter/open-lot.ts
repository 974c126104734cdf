import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import type { LotFault } from "@/core/lots/lot-rows";
import { dragWishes } from "@/core/vocabulary/counter-lists";
import { useFactors, waters } from "@/core/vocabulary/use";
import { depthSaid } from "./correct-intake";
import { oneKeyOf } from "./inputs";

/** Takes a lot in. @returns its id and tags, or the faults of its rows; then nothing was taken in. */
export const openLot = defineAct({
  name: "open-lot",
  permission: "counter",
  input: z.object({
    name: z.string().trim().min(1, "Name the lot: the customer and the month will do.").max(80, "At most 80 letters."),
    customerId: z.string().regex(/^\d*$/),
    customerName: z.string().trim().max(80, "At most 80 letters."),
    modelId: z.string().min(1, "Choose the model.").max(60),
    water: z.enum(waters),
    tripsPerYear: z
      .string()
      .trim()
      .regex(/^\d{1,3}$/, "Trips a year: a whole number up to 999."),
    life: z.array(oneKeyOf(useFactors)).max(10),
    dragWish: oneKeyOf(dragWishes),
    depth: depthSaid.default(""),
    limit: z.string().trim().max(20),
    promisedOn: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day."),
    rows: z
      .array(
        z.object({
          serial: z.string().max(200),
          mark: z.string().max(200),
          complaint: z.string().max(500),
          condition: z.string().max(500),
          depth: z.string().max(80).default(""),
          drag: z.string().max(80).default(""),
        }),
      )
      .max(300),
  }),
  journals: ["lot-opened"],
  answer: answers<{ readonly faults: readonly LotFault[] } | { readonly id: number; readonly tags: readonly string[] }>(),
});
