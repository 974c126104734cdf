import { skerry30, skerry30Anatomy, skerry30LineRadiusMm, skerry30Parts } from "#demo/models/skerry-30";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { addPartType } from "@/data/catalogue/part-types";
import { addModel } from "@/data/catalogue/write-model";
import { type NewJob, openJob } from "@/data/counter/open-job";
import { addCustomer } from "@/data/customers/customers";
import type { Context, Refusal } from "@/data/database/context";
import { type Db, openMemoryDatabase } from "@/data/database/database";
import { recordObservation } from "@/data/diagnosis/observations";
import type { ReportDates } from "@/data/hand-back/report";
import type { Intake } from "@/data/jobs/jobs";
import { setBin } from "@/data/parts/stock";
import { addSupplier, setOffer } from "@/data/parts/suppliers";
import { ensureFirstPerson } from "@/data/shop/people";

export interface Workshop {
  readonly db: Db;
  readonly ctx: Context;
  readonly customerId: number;
  readonly open: (change?: Partial<NewJob>, at?: Context) => number;
}

/** The least a counter writes down. */
export const intake = (change: Partial<Intake> = {}): Intake => ({
  complaints: [],
  water: "salt",
  tripsPerYear: 20,
  conditions: [],
  life: [],
  conditionNote: "",
  dragWish: "shop",
  handleHole: "as-found",
  ...change,
});

/** A job at the bench today with nothing unusual about it: its customer, what it came for and its depth are the caller's. */
export const plainJob = (change: Partial<NewJob> & Pick<NewJob, "modelId" | "serial">): NewJob => ({
  customer: { id: 1 },
  hand: "right",
  complaint: "",
  intake: intake({ complaints: ["service"], tripsPerYear: 24, dragWish: "greased" }),
  brought: [],
  limitMinor: 1_000_000,
  wantedOn: null,
  promisedOn: new Date().toISOString().slice(0, 10),
  ...change,
});

/** An empty shop with the demo's model, one supplier who sells everything, two of each part in the bins, and one customer. */
export function openWorkshop(): Workshop {
  const db = openMemoryDatabase();
  const ctx: Context = { db, person: ensureFirstPerson(db), now: "2026-03-02T09:00:00.000Z" };
  for (const part of skerry30Parts) addPartType(ctx, part);
  addModel(ctx, skerry30, { lineRadiusMm: skerry30LineRadiusMm, anatomy: skerry30Anatomy });
  addSupplier(ctx, { id: "quay", name: "Quay", postageMinor: 500, leadDays: 3 });
  for (const part of skerry30Parts) {
    setOffer(ctx, { supplierId: "quay", partTypeId: part.id, priceMinor: 100 });
    setBin(ctx, part.id, "A1", 2, 1);
  }
  const customerId = addCustomer(ctx, { name: "Ada Brook", phone: "1", email: "" });
  let serial = 0;
  const open = (change: Partial<NewJob> = {}, at: Context = ctx) =>
    openJob(at, {
      customer: { id: customerId },
      modelId: skerry30.id,
      serial: `T${++serial}`,
      hand: "right",
      complaint: "stiff",
      // A repair of which nothing was ticked opens nothing by itself; the bench is tried on the whole reel.
      depth: "full",
      intake: intake(),
      brought: [],
      limitMinor: 100_000,
      wantedOn: null,
      promisedOn: "2026-03-09",
      ...change,
    }).id;
  return { db, ctx, customerId, open };
}

/** Dates of a report that say how far off they are. */
export const reportDates: ReportDates = {
  opened: "then",
  closed: null,
  after: (months) => `in ${months} months`,
  from: (day, months) => `${months} months from ${day.slice(0, 10)}`,
  words: (day) => day,
};

/** One answer to one test, as typed at the bench. */
export const answer = (
  ctx: Context,
  jobId: number,
  testId: TestId,
  verdict: Verdict,
  value: number | null = null,
  phase: "before" | "after" = "before",
) =>
  recordObservation(ctx, {
    jobId,
    phase,
    testId,
    verdict,
    value,
    lineRadiusMm: testId.startsWith("drag") ? 24 : null,
    instrument: "typed",
    simulated: false,
    trace: null,
  });

/** Runs what must be refused and gives back the refusal. */
export function refusal(work: () => unknown): Refusal {
  try {
    work();
  } catch (error) {
    if (error instanceof Error && error.name === "Refusal") return error as Refusal;
    throw error;
  }
  throw new Error("It was not refused.");
}
