import { answers, defineAct } from "@/core/acts/act/act";
import type { PriceListTold } from "@/core/ordering/price-list";
import { priceListInput } from "./inputs";

export const lookAtPriceList = defineAct({
  name: "look-at-price-list",
  permission: "stores",
  input: priceListInput,
  size: "file",
  journals: [],
  answer: answers<PriceListTold>(),
});
