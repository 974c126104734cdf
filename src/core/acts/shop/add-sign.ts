import { answers, defineAct } from "@/core/acts/act/act";
import { typedNumber } from "@/core/acts/act/typed";
import { shopFindingSchema } from "@/core/diagnosis/knowledge";

export const addSign = defineAct({
  name: "add-sign",
  permission: "shop",
  input: shopFindingSchema.extend({ minutes: typedNumber("Minutes for the check: from half a minute to an hour.", { min: 0.5, max: 60 }) }),
  journals: ["sign-learned"],
  answer: answers<string>(),
});
