import { editOperation, freeOperationId, startDraft } from "@/core/anatomy/draft";
import { operationSchema } from "@/core/anatomy/types";
import { gateFor } from "@/core/blind-spots/blind-spots";
import { getCurrentModelVersion } from "@/data/catalogue/models";
import { addModelVersion } from "@/data/catalogue/write-model";
import { type Context, Refusal } from "@/data/database/context";

/** Takes a check over into a model's playbook, as a gate of its next version. */
export function takeCheck(ctx: Context, modelId: string, baseNumber: number, checkId: string): { number: number } {
  const current = getCurrentModelVersion(ctx.db, modelId);
  if (current.number !== baseNumber)
    throw new Refusal("changed-elsewhere", `Version ${current.number} was saved in another window. Reload to see it, then press again.`);
  const gate = gateFor(current.anatomy, current.partTypes, checkId);
  if (!gate) throw new Refusal("nothing-new", "The playbook has this check already.");
  const operation = operationSchema.parse({ id: freeOperationId(current.anatomy, "gate"), kind: "gate", ...gate });
  addModelVersion(ctx, modelId, {
    lineRadiusMm: current.lineRadiusMm,
    anatomy: editOperation(startDraft(current.anatomy), operation).anatomy,
  });
  return { number: current.number + 1 };
}
