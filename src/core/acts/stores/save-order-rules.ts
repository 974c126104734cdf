import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { typedNumber, typedPercent } from "@/core/acts/act/typed";
import { seenSchema } from "@/core/seen/seen";

export const saveOrderRules = defineAct({
  name: "save-order-rules",
  permission: "stores",
  input: z.object({
    lateShareBasisPoints: typedPercent("A share such as 10."),
    leftOverDays: typedNumber("Days from 30 to 3650, such as 730.", { min: 30, max: 3650, whole: true }),
    leadChance: typedNumber("From 50 to 99 %, for example 80.", { min: 50, max: 99, whole: true }),
    runningOutChance: typedNumber("From 1 to 50 %, for example 5.", { min: 1, max: 50, whole: true }),
    deskLate: typedNumber("From 0 to 100, such as 10.", { min: 0, max: 100, whole: true }),
    deskWrong: typedNumber("From 0 to 100, such as 3.", { min: 0, max: 100, whole: true }),
    orderOn: z.array(z.number().int().min(1).max(7)).min(1, "At least one day of the week."),
    seen: seenSchema,
  }),
  journals: ["order-rules-saved"],
});
