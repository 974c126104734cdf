import { z } from "zod";
import { jobId } from "@/core/acts/act/inputs";
import { cleanMethodIds } from "@/core/vocabulary/clean-methods";

export const cleanGroup = z.object({ jobId, method: z.enum(cleanMethodIds) });

export const bath = z.object({ jobId, soakId: z.number().int().positive() });
