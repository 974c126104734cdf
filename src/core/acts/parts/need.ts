import { defineAct } from "@/core/acts/act";
import { seat } from "@/core/acts/inputs";

export const need = defineAct({
  name: "need",
  permission: "bench",
  input: seat,
  journals: ["need-added"],
});
