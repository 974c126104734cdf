import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { linkToken } from "./inputs";

export const mailQuote = defineAct({
  name: "mail-quote",
  permission: "counter",
  input: z.object({ jobId, token: linkToken.nullable() }),
  journals: ["mail-written"],
});
