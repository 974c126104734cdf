import { z } from "zod";
import { typedPercent } from "@/core/acts/act/typed";
import { bringInKindIds } from "@/core/bring-in/kinds";
import { mostRows } from "@/core/bring-in/table";

export const discount = typedPercent("A percentage such as 10, or 0.");

export const dayInput = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day.");

export const personName = z.string().trim().min(1, "Write a name.").max(80, "At most 80 letters.");

export const roleInput = z.enum(["owner", "bench", "counter"]);

export const cells = z.array(z.string().max(2000)).max(60);

export const asBrought = z.object({
  kind: z.enum(bringInKindIds),
  file: z.string().min(1).max(200),
  columns: z.record(z.string(), z.number().int().min(0).max(59)),
  rows: z.array(cells).min(1, "There is no row to import.").max(mostRows, `At most ${mostRows} rows at once.`),
  /** The line of the file each row stands on; one after the other from 2 where nothing is said. */
  lines: z.array(z.number().int().min(1).max(2_000_000)).max(mostRows).optional(),
  /** Rows that cannot come in are left out, and the others come in. */
  leaveOut: z.boolean().default(false),
  /** Chosen once no copy could be made. */
  uncopied: z.boolean().default(false),
});
