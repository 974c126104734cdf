import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const setSecret = defineAct({
  name: "set-secret",
  // Everybody their own; the data asks for an owner to set another's.
  permission: "counter",
  input: z.object({
    personId: z.number().int().positive(),
    kind: z.enum(["passphrase", "pin"]),
    now: z.string().max(500),
    before: z.string().max(500).default(""),
  }),
  journals: ["secret-set"],
});
