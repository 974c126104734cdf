import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";

export const serveInPlace = defineAct({
  name: "serve-in-place",
  permission: "bench",
  input: seat.extend({
    reason: z.string().trim().min(2, "Say why it stays in; the reason is printed in the report.").max(200, "At most 200 characters."),
  }),
  journals: ["served-in-place"],
});
