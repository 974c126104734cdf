import { answers, defineAct } from "@/core/acts/act/act";
import { typedNumber } from "@/core/acts/act/typed";
import { shopFaultSchema } from "@/core/diagnosis/knowledge";

export const addFault = defineAct({
  name: "add-fault",
  permission: "shop",
  input: shopFaultSchema.extend({
    minutes: typedNumber("Minutes of the remedy: a whole number up to 600.", { min: 0, max: 600, whole: true }),
  }),
  journals: ["fault-learned"],
  answer: answers<string>(),
});
