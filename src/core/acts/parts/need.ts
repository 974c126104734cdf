import { defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";

export const need = defineAct({
  name: "need",
  permission: "bench",
  input: seat,
  journals: ["need-added"],
});
