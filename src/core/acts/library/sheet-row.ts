import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { sheetSeen } from "./inputs";

/** One row as it is now known. */
export const sheetRow = defineAct({
  name: "sheet-row",
  permission: "bench",
  input: z.object({
    ...sheetSeen,
    row: z.number().int().min(0).max(399),
    number: z.string().trim().max(40, "At most 40 letters."),
    description: z.string().trim().min(1, "Enter what it is.").max(160, "At most 160 letters."),
    quantity: z.number().int().min(0).max(99),
    positionIds: z.array(z.string().max(60)).max(40),
  }),
  journals: ["sheet-checked"],
});
