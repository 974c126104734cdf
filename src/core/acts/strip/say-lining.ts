import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";
import { liningMaterialIds } from "@/core/vocabulary/lining-materials";

export const sayLining = defineAct({
  name: "say-lining",
  permission: "bench",
  input: seat.extend({ material: z.enum(liningMaterialIds, "Choose what it is made of.") }),
  journals: ["lining-said"],
  answer: answers<{ readonly seats: number }>(),
});
