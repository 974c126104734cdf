import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const revokeAsking = defineAct({
  name: "revoke-asking",
  permission: "counter",
  input: z.object({ jobId }),
  journals: ["quote-asking-revoked"],
});
