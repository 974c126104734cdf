import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

/** Everything that is short, asked for by one press. */
export const needSeveral = defineAct({
  name: "need-several",
  permission: "bench",
  input: z.object({ jobId, positionIds: z.array(z.string().min(1).max(60)).min(1).max(60) }),
  journals: ["need-added"],
});
