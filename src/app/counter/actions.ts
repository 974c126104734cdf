"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { today } from "@/app/server/clock";
import { intakeFormSchema, notInLibrary } from "@/core/acts/counter/intake-form";
import { parseMinor } from "@/core/money/money";
import { readMeasure } from "@/core/units/read-measure";
import { addUnknownModel } from "@/data/bench/loose-parts";
import { openJob } from "@/data/counter/open-job";
import { classSaid, customerByName, setDiscountClass } from "@/data/customers/customers";
import { ensureReel } from "@/data/customers/reels";
import { declineJob } from "@/data/hand-back/decline";
import { closeJob } from "@/data/hand-back/returns";
import { perhapsTwice, wasTwice } from "@/data/hand-back/twice";
import { keepSaid } from "@/data/promise/keep-said";
import { Refusal } from "@/data/store/context";
import type { Press } from "@/ui/act/press";
import type { TakenIn } from "@/ui/counter/taken-note";

const intake = defineAction({
  name: "intake",
  permission: "counter",
  input: intakeFormSchema,
  run: (ctx, form): TakenIn => {
    if (form.promisedOn < today()) throw new Refusal("past", "The promised day is past. Choose today or later.", "promisedOn");
    if (form.wantedOn && form.wantedOn < today()) throw new Refusal("past", "The wanted day is past. Choose today or later.", "wantedOn");
    const customerId = form.customerId
      ? Number(form.customerId)
      : customerByName(ctx, { name: form.name, phone: form.phone, email: form.email, address: form.address });
    const modelId =
      form.modelId === notInLibrary
        ? addUnknownModel(ctx, { maker: "Not known", name: form.unknownName, family: form.family })
        : form.modelId;
    if (form.kind === "donor")
      return {
        job: null,
        reelId: ensureReel(ctx, { modelId, serial: form.serial, hand: form.hand, ownerId: customerId }),
        declined: false,
        twin: null,
      };
    const declined = form.kind === "declined";
    const discountClass = classSaid(ctx.db, customerId, form.customerId !== "", form.discountClass);
    const job = openJob(ctx, {
      customer: { id: customerId },
      modelId,
      serial: form.serial,
      reelId: form.reelId ? Number(form.reelId) : null,
      takenFor: { madeBy: form.madeBy, madeWhen: form.madeWhen, madeWhere: form.madeWhere },
      hand: form.hand,
      kind: form.kind === "declined" ? "repair" : form.kind,
      // A service without a word on how deep is a full one.
      ...(form.depth !== "usual" ? { depth: form.depth } : form.kind === "service" ? { depth: "full" as const } : {}),
      complaint: declined ? "" : form.complaint,
      intake: {
        complaints: form.complaints,
        claims: form.kind === "purchase-check" ? form.claims : [],
        water: form.water,
        tripsPerYear: Number(form.tripsPerYear),
        conditions: [...new Set([...form.conditions, ...form.marks.map(({ mark }) => mark)])],
        marks: form.marks,
        life: form.life,
        conditionNote: form.conditionNote,
        brakes: form.brakes,
        dragWish: form.dragWish,
        handleHole: form.handleHole,
        lineBreaksN: form.lineBreaks ? readMeasure(form.lineBreaks, "N") : null,
        callFor: declined ? "" : form.callFor,
        pays: form.kind === "comeback" && form.pays ? form.pays : "us",
      },
      brought: declined ? [] : form.brought,
      limitMinor: form.limit ? parseMinor(form.limit) : null,
      discountClass,
      depositMinor: (form.deposit && !declined && parseMinor(form.deposit)) || 0,
      valueMinor: form.value ? parseMinor(form.value) : null,
      wantedOn: form.wantedOn || null,
      promisedOn: form.promisedOn,
    });
    setDiscountClass(ctx, customerId, discountClass);
    if (declined) {
      declineJob(ctx, job.id, form.complaint);
      // It never left the customer's hand.
      closeJob(ctx, job.id, "not accepted");
    } else keepSaid(ctx, today(), [job.id]);
    return { job: { id: job.id, tag: job.tag }, reelId: job.reelId, declined, twin: perhapsTwice(ctx.db, job.id)?.tag ?? null };
  },
});

const twice = defineAction({
  name: "taken-in-twice",
  permission: "counter",
  input: z.object({ jobId: z.number().int().positive() }),
  run: (ctx, { jobId }) => wasTwice(ctx, jobId).tag,
});
/** The reel that was just taken in hangs here already: its second job ends. */
export async function takenInTwice(press: Press) {
  return twice(press);
}

/** Takes a reel in, keeps it for its parts, or writes down why it was sent away. */
export async function takeIn(press: Press) {
  return intake(press);
}
