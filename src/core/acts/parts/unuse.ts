import { defineAct } from "@/core/acts/act";
import { seat } from "@/core/acts/inputs";

export const unuse = defineAct({
  name: "unuse",
  permission: "bench",
  input: seat,
  journals: ["part-used-undone"],
});
