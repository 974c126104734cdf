import { today } from "@/app/server/clock";
import type { counterActs } from "@/core/acts/counter/acts";
import type { TakenIn } from "@/core/acts/counter/intake";
import { notInLibrary } from "@/core/acts/counter/intake-form";
import { parseMinor } from "@/core/money/money";
import { readMeasure } from "@/core/units/read-measure";
import type { UseFactor } from "@/core/vocabulary/use";
import { addUnknownModel } from "@/data/bench/loose-parts";
import { cancelIntake, correctIntake } from "@/data/counter/correct-intake";
import { openLot } from "@/data/counter/lots";
import { openJob } from "@/data/counter/open-job";
import { saveParcel } from "@/data/counter/parcels";
import { classSaid, customerByName, setDiscountClass } from "@/data/customers/customers";
import { ensureReel } from "@/data/customers/reels";
import { Refusal } from "@/data/database/context";
import { declineJob } from "@/data/hand-back/decline";
import { closeJob } from "@/data/hand-back/returns";
import { perhapsTwice, wasTwice } from "@/data/hand-back/twice";
import { listJobsOfLot } from "@/data/jobs/jobs";
import { keepSaid } from "@/data/promise/keep-said";
import type { RunsOf } from "./runs";

export const counterRuns: RunsOf<typeof counterActs> = {
  "correct-intake": (ctx, { jobId: id, ...said }) => correctIntake(ctx, id, said),

  "save-parcel": (ctx, { jobId: id, way, value, ...said }) => saveParcel(ctx, id, way, { ...said, valueMinor: value ?? null }),

  "cancel-intake": (ctx, input) => cancelIntake(ctx, input.jobId),

  intake: (ctx, form): TakenIn => {
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
        openingLimitMinor: form.depth === "opening" && form.openingLimit ? parseMinor(form.openingLimit) : null,
        partsLimitMinor: form.partsLimit ? parseMinor(form.partsLimit) : null,
        termsAgreed: form.termsAgreed,
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
    } else keepSaid(ctx, today(), [job.id], form.shown?.on === today() ? form.shown : null);
    return { job: { id: job.id, tag: job.tag }, reelId: job.reelId, declined, twin: perhapsTwice(ctx.db, job.id)?.tag ?? null };
  },

  "taken-in-twice": (ctx, { jobId }) => wasTwice(ctx, jobId).tag,

  "open-lot": (ctx, form) => {
    const limitMinor = form.limit ? parseMinor(form.limit) : null;
    if (form.limit && limitMinor === null)
      throw new Refusal("limit", "Enter an amount such as 60 or 59.50, or leave it blank to ask for every quote.", "limit");
    if (!form.customerId && !form.customerName)
      throw new Refusal("customer", "Whose reels are they? Choose a customer or type a new name.", "customerId");
    if (form.promisedOn < today()) throw new Refusal("past", "The promised day is past. Choose today or later.", "promisedOn");
    const taken = openLot(ctx, {
      ...form,
      customer: form.customerId ? { id: Number(form.customerId) } : { name: form.customerName },
      tripsPerYear: Number(form.tripsPerYear),
      life: form.life as UseFactor[],
      limitMinor,
    });
    if (!("faults" in taken)) {
      const ids = listJobsOfLot(ctx.db, taken.id).map(({ id }) => id);
      keepSaid(ctx, today(), ids);
    }
    return taken;
  },
};
