import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";

export const wantInstead = defineAct({
  name: "want-instead",
  permission: "bench",
  input: seat.extend({ partTypeId: z.string().max(60) }),
  journals: ["part-wanted-instead"],
});
