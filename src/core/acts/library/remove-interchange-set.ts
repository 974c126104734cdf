import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const removeInterchangeSet = defineAct({
  name: "remove-interchange-set",
  permission: "bench",
  input: z.object({ id: z.string().max(60) }),
  journals: ["interchange-removed"],
});
