"use server";
import { parseMinor } from "@/core/money/money";
import { Refusal } from "@/data/context";
import { type NewJob, openJob } from "@/data/jobs";
import { addUnknownModel } from "@/data/loose-parts";
import type { Press } from "@/ui/act/press";
import { defineAction, today } from "../server";
import { intakeFormSchema, notInLibrary } from "./intake.schema";

const intake = defineAction({
  name: "intake",
  permission: "counter",
  input: intakeFormSchema,
  run: (ctx, form) => {
    if (form.promisedOn < today()) throw new Refusal("past", "The promised day is past. Choose today or later.", "promisedOn");
    if (form.wantedOn && form.wantedOn < today()) throw new Refusal("past", "The wanted day is past. Choose today or later.", "wantedOn");
    const job: NewJob = {
      customer: form.customerId ? { id: Number(form.customerId) } : { name: form.name, phone: form.phone, email: form.email },
      modelId:
        form.modelId === notInLibrary
          ? addUnknownModel(ctx, { maker: "Not known", name: form.unknownName, family: form.family })
          : form.modelId,
      serial: form.serial,
      hand: form.hand,
      kind: form.kind,
      complaint: form.complaint,
      intake: {
        complaints: form.complaints,
        claims: form.kind === "purchase-check" ? form.claims : [],
        water: form.water,
        tripsPerYear: Number(form.tripsPerYear),
        conditions: form.conditions,
        life: form.life,
        conditionNote: form.conditionNote,
        dragWish: form.dragWish,
        handleHole: form.handleHole,
      },
      brought: form.brought,
      limitMinor: form.limit ? parseMinor(form.limit) : null,
      wantedOn: form.wantedOn || null,
      promisedOn: form.promisedOn,
    };
    return openJob(ctx, job);
  },
});

/** Takes a reel in. @returns the job's id and claim tag. */
export async function takeIn(press: Press) {
  return intake(press);
}
