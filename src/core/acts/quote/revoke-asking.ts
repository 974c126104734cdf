import { z } from "zod";
import { defineAct } from "@/core/acts/act";
import { jobId } from "@/core/acts/inputs";

export const revokeAsking = defineAct({
  name: "revoke-asking",
  permission: "counter",
  input: z.object({ jobId }),
  journals: ["quote-asking-revoked"],
});
