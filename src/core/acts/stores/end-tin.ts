import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const endTin = defineAct({
  name: "end-tin",
  permission: "stores",
  input: z.object({ id: z.number().int(), empty: z.boolean() }),
  journals: ["tin-ended"],
});
