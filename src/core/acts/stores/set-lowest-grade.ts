import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { grades } from "@/core/interchange/interchange";

export const setLowestGrade = defineAct({
  name: "set-lowest-grade",
  permission: "stores",
  input: z.object({ needIds: z.array(z.number().int()).min(1).max(500), grade: z.enum(grades) }),
  journals: ["need-grade-set"],
});
