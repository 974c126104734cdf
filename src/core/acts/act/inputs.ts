import { z } from "zod";

/** What the acts of a station are about: a job, a seat of its machine, a step of its build. */
export const jobId = z.number().int().positive();
export const seat = z.object({ jobId, positionId: z.string().min(1).max(60) });
export const step = z.object({ jobId, operationId: z.string().min(1).max(80) });
