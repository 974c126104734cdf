import { defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";

export const unuse = defineAct({
  name: "unuse",
  permission: "bench",
  input: seat,
  journals: ["part-used-undone"],
});
