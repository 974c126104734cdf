import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const removeBin = defineAct({
  name: "remove-bin",
  permission: "stores",
  input: z.object({ partTypeId: z.string().max(60) }),
  journals: ["bin-removed"],
});
