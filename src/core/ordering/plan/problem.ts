import { z } from "zod";

/**
 * What an order plan is made from. Money in minor units, days as whole days from today. Nothing here knows of tables or screens.
 */

const id = z.string().min(1).max(80);
const money = z.number().finite().min(0).max(1e10);
const days = z.number().int().min(0).max(3650);

/** A day on which orders go out: today, or the shop's next order day. */
export const slotSchema = z.strictObject({
  id,
  inDays: days,
  /** What sending a parcel on this day costs beside its post, such as the writing of an order on a day that is not for it. */
  parcelMinor: money.default(0),
});
export type Slot = z.infer<typeof slotSchema>;

export const planSupplierSchema = z.strictObject({
  id,
  postage: z
    .array(z.strictObject({ fromMinor: z.number().int().min(0), postageMinor: money }))
    .min(1)
    .max(12)
    .describe("What a parcel costs from a value of goods upwards; the first tier from 0."),
  freeFromMinor: z.number().int().min(0).nullable().default(null).describe("From this value of goods the parcel is free; null: never."),
  smallestOrderMinor: z.number().int().min(0).default(0).describe("Below this value of goods nothing is sent."),
  leadDays: days.describe("Days from the order to the parcel, at the chance the shop plans with."),
});
export type PlanSupplier = z.infer<typeof planSupplierSchema>;

export const planOfferSchema = z.strictObject({
  id,
  supplierId: id.nullable().describe("Null for what lies here already, a bin or a donor's drawer: it is here today, without a parcel."),
  partId: id,
  pack: z.number().int().min(1).max(10_000).default(1).describe("Pieces in a pack."),
  breaks: z
    .array(z.strictObject({ fromPacks: z.number().int().min(1), priceMinor: z.number().int().min(0).max(1e9) }))
    .min(1)
    .max(12)
    .describe(
      "What a pack costs when that many are taken together; the first from 1. All packs cost the price of the break that is reached.",
    ),
  available: z.number().int().min(0).nullable().default(null).describe("At most so many packs in the whole plan; null where nobody said."),
  leadDays: days.nullable().default(null).describe("Where this piece does not take its supplier's usual days."),
});
export type PlanOffer = z.infer<typeof planOfferSchema>;

export const demandSchema = z.strictObject({
  id,
  jobId: id.nullable().describe("The job that waits for it; null for a bin to be filled."),
  quantity: z.number().int().min(1).max(10_000),
  accepts: z
    .array(z.strictObject({ partId: id, extraMinor: money.default(0) }))
    .min(1)
    .max(200)
    .describe("Parts that will do, each with what a piece costs more to use, such as work to cut it to size; the order does not matter."),
  leaveMinor: money.nullable().default(null).describe("What leaving a piece for another time costs; null where it has to be had."),
});
export type Demand = z.infer<typeof demandSchema>;

export const planJobSchema = z.strictObject({
  id,
  neededInDays: z
    .number()
    .int()
    .min(-3650)
    .max(3650)
    .describe(
      "The day by which its last piece has to be here; each day later costs. Days that have passed already are lost and do not count.",
    ),
  dayLateMinor: money.describe("What a day late costs."),
});
export type PlanJob = z.infer<typeof planJobSchema>;

export const leftOverSchema = z.strictObject({
  partId: id,
  unitMinor: money.describe("What a piece left over is worth when it is used."),
  chances: z
    .array(z.number().min(0).max(1))
    .max(200)
    .describe("Chance that the first, second … piece left over is used in time; never rising."),
});
export type LeftOver = z.infer<typeof leftOverSchema>;

export const orderProblemSchema = z
  .strictObject({
    slots: z.array(slotSchema).min(1).max(4),
    suppliers: z.array(planSupplierSchema).max(60),
    offers: z.array(planOfferSchema).max(6000),
    demands: z.array(demandSchema).max(2000),
    jobs: z.array(planJobSchema).max(1000),
    leftOver: z.array(leftOverSchema).max(6000).default([]),
    fixed: z
      .array(z.strictObject({ offerId: id, slot: z.number().int().min(0), packs: z.number().int().min(0).max(100_000) }))
      .max(500)
      .default([])
      .describe("Lines fixed by hand: so many packs of an offer on an order day (by its place among the slots), 0 for none."),
    suppliersMust: z
      .record(z.string(), z.enum(["order", "none"]))
      .default({})
      .describe("Suppliers that must get an order, or none."),
  })
  .superRefine((problem, ctx) => {
    const unique = (what: string, ids: readonly string[]) => {
      const seen = new Set<string>();
      for (const [i, one] of ids.entries())
        if (seen.has(one)) ctx.addIssue({ code: "custom", path: [what, i, "id"], message: `"${one}" stands there twice.` });
        else seen.add(one);
      return seen;
    };
    const suppliers = unique(
      "suppliers",
      problem.suppliers.map((one) => one.id),
    );
    const offers = unique(
      "offers",
      problem.offers.map((one) => one.id),
    );
    const jobs = unique(
      "jobs",
      problem.jobs.map((one) => one.id),
    );
    unique(
      "demands",
      problem.demands.map((one) => one.id),
    );
    unique(
      "leftOver",
      problem.leftOver.map((one) => one.partId),
    );
    const known = (known: ReadonlySet<string>, one: string | null, what: string, path: (string | number)[]) => {
      if (one !== null && !known.has(one)) ctx.addIssue({ code: "custom", path, message: `No ${what} has the id "${one}".` });
    };
    for (const [i, { supplierId, breaks }] of problem.offers.entries()) {
      known(suppliers, supplierId, "supplier", ["offers", i, "supplierId"]);
      if (breaks[0]!.fromPacks !== 1 || breaks.some((one, at) => at > 0 && one.fromPacks <= breaks[at - 1]!.fromPacks))
        ctx.addIssue({ code: "custom", path: ["offers", i, "breaks"], message: "Breaks begin at 1 pack and rise." });
    }
    for (const [i, { postage }] of problem.suppliers.entries())
      if (postage[0]!.fromMinor !== 0 || postage.some((one, at) => at > 0 && one.fromMinor <= postage[at - 1]!.fromMinor))
        ctx.addIssue({ code: "custom", path: ["suppliers", i, "postage"], message: "Tiers begin at 0 and rise." });
    for (const [i, { jobId, accepts }] of problem.demands.entries()) {
      known(jobs, jobId, "job", ["demands", i, "jobId"]);
      if (new Set(accepts.map(({ partId }) => partId)).size < accepts.length)
        ctx.addIssue({ code: "custom", path: ["demands", i, "accepts"], message: "A part is accepted once." });
    }
    for (const [i, { chances }] of problem.leftOver.entries())
      if (chances.some((chance, at) => at > 0 && chance > chances[at - 1]! + 1e-12))
        ctx.addIssue({
          code: "custom",
          path: ["leftOver", i, "chances"],
          message: "A further piece is not used sooner: chances never rise.",
        });
    for (const [i, { offerId, slot }] of problem.fixed.entries()) {
      known(offers, offerId, "offer", ["fixed", i, "offerId"]);
      if (slot >= problem.slots.length)
        ctx.addIssue({ code: "custom", path: ["fixed", i, "slot"], message: "There is no such order day." });
    }
    for (const one of Object.keys(problem.suppliersMust)) known(suppliers, one, "supplier", ["suppliersMust", one]);
  });
export type OrderProblem = z.infer<typeof orderProblemSchema>;

/** So many packs of an offer, ordered on a slot. */
export interface PlanLine {
  readonly offerId: string;
  readonly slot: number;
  readonly packs: number;
}
/** Pieces of a line that go to a demand. */
export interface Allocation {
  readonly demandId: string;
  readonly offerId: string;
  readonly slot: number;
  readonly pieces: number;
}
export interface OrderPlan {
  readonly lines: readonly PlanLine[];
  readonly allocations: readonly Allocation[];
}
