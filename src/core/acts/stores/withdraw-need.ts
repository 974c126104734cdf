import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const withdrawNeed = defineAct({
  name: "withdraw-need",
  permission: "stores",
  input: z.object({ needId: z.number().int() }),
  journals: ["need-withdrawn"],
});
