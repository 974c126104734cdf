import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const removeOffer = defineAct({
  name: "remove-offer",
  permission: "stores",
  input: z.object({ partTypeId: z.string().max(60), supplierId: z.string().max(60) }),
  journals: ["offer-removed"],
});
