import { defineAct } from "@/core/acts/act/act";
import { bath } from "./inputs";

export const cancelSoak = defineAct({
  name: "cancel-soak",
  permission: "bench",
  input: bath,
  journals: ["cleaning-undone"],
});
