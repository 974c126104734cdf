import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { typedAmount } from "@/core/acts/act/typed";
import { orderLineId } from "./inputs";

export const linePaidOtherwise = defineAct({
  name: "line-paid-otherwise",
  permission: "stores",
  input: z.object({ orderLineId, paidMinor: typedAmount("What the line was billed at, such as 12.40.") }),
  journals: ["line-paid-otherwise"],
});
