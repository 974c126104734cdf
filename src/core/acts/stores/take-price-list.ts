import { answers, defineAct } from "@/core/acts/act/act";
import { priceListInput } from "./inputs";

export const takePriceList = defineAct({
  name: "take-price-list",
  permission: "stores",
  input: priceListInput,
  size: "file",
  journals: ["price-list-taken"],
  answer: answers<{ readonly prices: number }>(),
});
