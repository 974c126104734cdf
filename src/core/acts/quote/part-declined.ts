import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";

/** The customer says no to one new part; or yes after all. */
export const partDeclined = defineAct({
  name: "part-declined",
  permission: "bench",
  input: seat.extend({ declined: z.boolean() }),
  journals: ["part-declined"],
});
