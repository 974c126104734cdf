import { type DiscountClass, discountOf } from "@/core/quote/discounts";
import { pricesFor } from "@/core/quote/price-list";
import { formatTag } from "@/core/tags/tag";
import type { BroughtId, Hand } from "@/core/vocabulary/counter-lists";
import type { DepthId, JobKind } from "@/core/vocabulary/job-kinds";
import { editionOfReel } from "@/data/catalogue/editions";
import { getCurrentModelVersion } from "@/data/catalogue/models";
import { versionOfReel } from "@/data/catalogue/own-build";
import { markModelVersionUsed } from "@/data/catalogue/write-model";
import { customerByName, findCustomer } from "@/data/customers/customers";
import { ensureReel, normaliseSerial, pickedReel, setTakenFor, type TakenFor } from "@/data/customers/reels";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { indexForFind } from "@/data/database/find";
import { writeJournal } from "@/data/database/journal";
import { insertJob } from "@/data/jobs/job-row";
import { type Intake, intakeSchema } from "@/data/jobs/jobs";
import { pinPrices } from "@/data/parts/job-prices";
import { getShopSettings } from "@/data/shop/settings";

export interface NewJob {
  readonly customer: { readonly id: number } | { readonly name: string; readonly phone: string; readonly email: string };
  readonly modelId: string;
  readonly serial: string;
  readonly hand: Hand;
  /** Repair, where nothing else is said. */
  readonly kind?: JobKind;
  /** How deep, where it was said; else the customer's or the shop's way. */
  readonly depth?: DepthId;
  readonly complaint: string;
  readonly intake: Intake;
  readonly brought: readonly BroughtId[];
  readonly limitMinor: number | null;
  readonly discountClass?: DiscountClass;
  readonly depositMinor?: number;
  /** What the reel is worth as it is; what its model is worth where nobody says. */
  readonly valueMinor?: number | null;
  readonly wantedOn: string | null;
  readonly promisedOn: string;
  /** A reel picked out of the book, where no serial tells it. */
  readonly reelId?: number | null;
  /** What it is taken for; empty where nobody said. */
  readonly takenFor?: TakenFor;
  /** The lot it came with, and what tells it from its sisters. */
  readonly lot?: { readonly id: number; readonly mark: string };
}

/**
 * Takes a reel in. Pins the model version, the prices of its parts, the hourly rate and the tax as they stand now.
 * @returns the job's id and claim tag, and its reel.
 * @throws Refusal for an unknown customer or model, or when this reel already hangs here.
 */
export function openJob(ctx: Context, job: NewJob): { id: number; tag: string; reelId: number } {
  const { db } = ctx;
  const customerId = "id" in job.customer ? job.customer.id : customerByName(ctx, job.customer);
  const customer = findCustomer(db, customerId);
  if (!customer) throw new Refusal("no-customer", "This customer was retired. Choose again or type a new one.", "customerId");
  getCurrentModelVersion(db, job.modelId);
  const reelId = job.reelId
    ? pickedReel(ctx, job.reelId, { modelId: job.modelId, ownerId: customerId })
    : ensureReel(ctx, { modelId: job.modelId, serial: job.serial, hand: job.hand, ownerId: customerId });
  if (job.takenFor) setTakenFor(ctx, reelId, job.takenFor);
  const hanging = db.prepare("SELECT tag FROM job WHERE reel_id = ? AND closed_at IS NULL").get(reelId) as { tag: string } | undefined;
  if (hanging)
    throw new Refusal("already-here", `This reel is already in the shop as ${hanging.tag}. Open that job, or check the serial.`, "serial", {
      to: "station",
      tag: hanging.tag,
      station: "test",
    });
  const { scrapped_at: scrapped } = db.prepare("SELECT scrapped_at FROM reel WHERE id = ?").get(reelId) as { scrapped_at: string | null };
  if (scrapped) throw new Refusal("scrapped", `This reel was scrapped for parts on ${scrapped.slice(0, 10)}. Check the serial.`, "serial");
  const version = versionOfReel(ctx, job.modelId, reelId);
  const edition = editionOfReel(db, { id: reelId, serial: normaliseSerial(job.serial) }, version.model, version.anatomy);
  const kind = job.kind ?? "repair";
  const lastJob = kind === "comeback" ? lastClosedJob(db, reelId) : null;
  if (kind === "comeback" && lastJob === null)
    throw new Refusal(
      "no-earlier-job",
      "We have not returned a reel with this serial. Check it, choose the reel from the customer's, or check it in as a repair.",
      "serial",
    );
  const settings = getShopSettings(db);
  const number = (db.prepare("SELECT coalesce(max(id), 0) + 1 AS next FROM job").get() as { next: number }).next;
  const tag = formatTag(number);
  markModelVersionUsed(db, version.id);
  insertJob(db, {
    id: number,
    tag,
    reelId,
    customerId,
    modelVersionId: version.id,
    editionId: edition?.edition.id ?? null,
    complaint: job.complaint,
    intake: JSON.stringify(intakeSchema.parse(job.intake)),
    limitMinor: job.limitMinor,
    wantedOn: job.wantedOn,
    promisedOn: job.promisedOn,
    ratePerHourMinor: settings.ratePerHourMinor,
    taxBasisPoints: settings.taxBasisPoints,
    currency: settings.currency,
    openedAt: ctx.now,
    lotId: job.lot?.id ?? null,
    mark: job.lot?.mark ?? "",
    kind,
    comebackOf: lastJob,
    discountBasisPoints: discountOf(settings.discounts, job.discountClass ?? "none"),
    depositMinor: job.depositMinor ?? 0,
    prices: JSON.stringify(pricesFor(settings.prices, version.model.family)),
    valueMinor: job.valueMinor ?? null,
    brought: job.brought,
    depth: job.depth ?? null,
  });
  pinPrices(ctx, number, version.id);
  const modelName = `${version.model.maker} ${version.model.name}`;
  indexForFind(db, {
    kind: "job",
    ref: tag,
    title: `${tag} ${modelName}, ${customer.name}`,
    words: `${tag.replaceAll("-", "")} ${tag} ${modelName} ${job.serial} ${customer.name} ${job.complaint}`,
  });
  writeJournal(ctx, "job-opened", { jobId: number, reelId, customerId }, { tag });
  return { id: number, tag, reelId };
}

/** The last job in which this bench worked on a reel; one sent back unrepaired or only checked has no work that could come back. */
export const lastClosedJob = (db: Db, reelId: number): number | null =>
  (db
    .prepare(
      "SELECT id FROM job WHERE reel_id = ? AND closed_at IS NOT NULL AND declined_reason IS NULL AND kind <> 'purchase-check' ORDER BY closed_at DESC, id DESC LIMIT 1",
    )
    .pluck()
    .get(reelId) as number | undefined) ?? null;
