import type { buildActs } from "@/core/acts/build/acts";
import { doSteps, failGate, openAgain, skipStep, undoStep } from "@/data/bench/build-steps";
import { markOilPoints } from "@/data/bench/oil-points";
import { learnAct } from "@/data/bench/playbook";
import { tellOutcome } from "@/data/bench/seat-outcome";
import { noteStep } from "@/data/bench/step-noted";
import type { RunsOf } from "./runs";

export const buildRuns: RunsOf<typeof buildActs> = {
  "learn-act": (ctx, { jobId: id, operationId, kind, words }) => learnAct(ctx, id, { afterOperationId: operationId, kind, words }),

  "steps-done": (ctx, input) => doSteps(ctx, input.jobId, input.operationIds, input.reason),

  "oil-points": (ctx, input) => markOilPoints(ctx, input.jobId, input.positionIds, input.state, input.why),

  "gate-failed": (ctx, input) => failGate(ctx, input.jobId, input.operationId, input.note),

  "step-skipped": (ctx, input) => skipStep(ctx, input.jobId, input.operationId),

  "step-left-off": (ctx, input) => skipStep(ctx, input.jobId, input.operationId, input.reason),

  "step-undone": (ctx, input) => undoStep(ctx, input.jobId, input.operationId),

  "step-noted": (ctx, input) => noteStep(ctx, input.jobId, input.operationId, input.words, input.seen),

  "seat-outcome": (ctx, { jobId: id, positionId, ...told }) => tellOutcome(ctx, id, positionId, told),

  "open-again": (ctx, input) => openAgain(ctx, input.jobId, input.operationId, input.gateId),
};
