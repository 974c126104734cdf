import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { supplierCard } from "./inputs";

export const addSupplier = defineAct({
  name: "add-supplier",
  permission: "stores",
  input: z.object(supplierCard),
  journals: ["supplier-added"],
  answer: answers<string>(),
});
