import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

/** The takings of a day are counted and kept. */
export const closeDay = defineAct({
  name: "close-day",
  permission: "counter",
  input: z.object({ day: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day.") }),
  journals: ["day-closed"],
});
