import { defineAct } from "@/core/acts/act";
import { seat } from "@/core/acts/inputs";

export const use = defineAct({
  name: "use",
  permission: "bench",
  input: seat,
  journals: ["part-used"],
});
