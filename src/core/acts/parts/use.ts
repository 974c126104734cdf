import { defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";

export const use = defineAct({
  name: "use",
  permission: "bench",
  input: seat,
  journals: ["part-used"],
});
