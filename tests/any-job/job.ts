import { actOf } from "@/app/acts/registry";
import { familyWith } from "@/core/families/families";
import { broughtWith, type ComplaintId, complaints, conditionMarks } from "@/core/vocabulary/counter-lists";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import { jobKindIds } from "@/core/vocabulary/job-kinds";
import { addUnknownModel } from "@/data/bench/loose-parts";
import { startModelOf } from "@/data/catalogue/built";
import { findModel } from "@/data/catalogue/models";
import { openLot } from "@/data/counter/lots";
import type { NewJob } from "@/data/counter/open-job";
import { type Context, Refusal } from "@/data/database/context";
import { pressOnce } from "@/data/database/press";
import { findJob, type Job } from "@/data/jobs/jobs";
import { setBin } from "@/data/parts/stock";
import { setOffer } from "@/data/parts/suppliers";
import { wholeService } from "../whole-service";
import { intake, openWorkshop, type Workshop } from "../workshop";
import { type Chance, chanceOf } from "./chance";

/** One press of a hand, as it can be replayed. */
export type Press = readonly [act: string, input: object];

/** A job of chance on a bench of its own. */
export interface Bench {
  readonly shop: Workshop;
  readonly jobId: number;
  /** The reels of its lot, itself among them; null where it came alone. */
  readonly lot: { readonly id: number; readonly jobIds: readonly number[] } | null;
  readonly chance: Chance;
  readonly family: FamilyId;
  /** No drawing knew it when it came. */
  readonly unknown: boolean;
  /** How it was built and what it came for, in a few words. */
  readonly about: string;
  readonly job: () => Job;
  /** Every press so far that was taken. */
  readonly done: Press[];
  /** Does a press as the door does. @returns null where it was done, else why not. @throws what is no refusal. */
  readonly press: (press: Press) => Refusal | null;
}

const depths = ["quick", "full", "complaint", "round", "opening", "light"] as const;

/** Several alike that come together, each with a depth and a wish of its own or the lot's. */
function openLotOf(shop: Workshop, { one, number, yes }: Chance, { modelId, limitMinor }: Partial<NewJob>): NonNullable<Bench["lot"]> {
  const taken = openLot(shop.ctx, {
    ...{ name: "A lot", customer: { id: shop.customerId }, modelId: modelId!, water: one(["salt", "fresh"] as const), tripsPerYear: 20 },
    ...{ life: [], dragWish: one(["shop", "dry", "greased"] as const), limitMinor: limitMinor ?? null, promisedOn: "2026-03-09" },
    rows: Array.from({ length: 2 + Math.floor(number() * 3) }, (_, i) => ({
      ...{ serial: yes(0.8) ? `LOT ${i}` : "", mark: `boat ${i}`, complaint: one(["", "stiff", "drag jerky"]), condition: "" },
      ...{ depth: one(["", "", "quick", "full"]), drag: one(["", "", "greased"]) },
    })),
  });
  if ("faults" in taken) throw new Error(`a lot is refused: ${JSON.stringify(taken.faults)}`);
  return { id: taken.id, jobIds: shop.db.prepare("SELECT id FROM job WHERE lot_id = ? ORDER BY id").pluck().all(taken.id) as number[] };
}

/** A reel of any family, built in any way, that comes for anything. */
export function openBench(seed: number): Bench {
  const chance = chanceOf(seed);
  const { one, some, yes, number } = chance;
  const shop = openWorkshop();
  const family = one(familyIds);
  const chosen: Record<string, string> = {};
  // Some builds exclude each other; the choices of one frame never do.
  for (const { id, choices } of familyWith(family, {}).variants) if (yes(0.3)) chosen[id] = one(choices).id;
  // One in ten is a reel that no drawing knows, one in twenty a model with editions and a history of its own.
  const unknown = yes(0.1);
  const drawn = !unknown && yes(0.05);
  const modelId = drawn
    ? "skerry-30"
    : unknown
      ? addUnknownModel(shop.ctx, { maker: "Oddwater", name: `Any ${seed}`, family })
      : startModelOf(shop.ctx, { maker: "Own", name: `Any ${seed}`, family, prefix: "ANY" }, chosen).id;
  for (const partTypeId of shop.db.prepare("SELECT id FROM part_type WHERE id LIKE 'any-%' ORDER BY id").pluck().all() as string[]) {
    if (yes(0.5)) setBin(shop.ctx, partTypeId, "B2", Math.floor(number() * 4), 1);
    if (yes(0.7)) setOffer(shop.ctx, { supplierId: "quay", partTypeId, priceMinor: 100 + Math.floor(number() * 900) });
  }
  const kind = one(jobKindIds);
  const felt = some(Object.keys(complaints) as ComplaintId[], 3);
  const depth = one(depths);
  const said: Partial<NewJob> = {
    ...{ modelId, serial: `ANY ${seed}`, kind, depth, hand: one(["right", "left"] as const) },
    complaint: yes(0.3) ? "It came like this from a friend." : "",
    intake: intake({
      complaints: yes(0.8) ? felt : [],
      water: one(["salt", "fresh"] as const),
      dragWish: one(["shop", "dry", "greased"] as const),
      handleHole: one(["as-found", "short", "long"] as const),
      conditions: yes(0.3) ? some(Object.keys(conditionMarks) as never[], 2) : [],
    }),
    brought: yes(0.5) ? (some(Object.keys(broughtWith), 2) as never) : [],
    limitMinor: one([null, 0, 6000, 12_000, 100_000]),
  };
  // What comes back went out from here.
  if (kind === "comeback") wholeService(shop, shop.open({ ...said, kind: "service", depth: "quick", limitMinor: 100_000, brought: [] }));
  const lot = yes(0.12) && kind !== "comeback" ? openLotOf(shop, chance, said) : null;
  const jobId = lot?.jobIds[0] ?? shop.open(said);
  const done: Press[] = [];
  let minutes = 0;
  return {
    ...{ shop, jobId, lot, chance, family: drawn ? findModel(shop.db, "skerry-30")!.family : family, done },
    unknown,
    about: `${lot ? `lot of ${lot.jobIds.length}, ` : ""}${unknown ? "unknown " : ""}${drawn ? "skerry-30" : family} ${JSON.stringify(chosen)}, ${kind} ${depth}, ${felt.join(" ")}`,
    job: () => findJob(shop.db, jobId)!,
    press: (press) => {
      const found = actOf(press[0]);
      if (!found) throw new Error(`no act is called ${press[0]}`);
      minutes += 1 + Math.floor(number() * 9);
      const ctx: Context = { ...shop.ctx, now: new Date(Date.parse(shop.ctx.now) + minutes * 60_000).toISOString() };
      const told = found.act.input.safeParse(press[1]);
      if (!told.success)
        return new Refusal("input", told.error.issues.map(({ message, path }) => `${path.join(".")}: ${message}`).join("; "));
      try {
        pressOnce(ctx, { id: `any ${minutes}`.padEnd(10, "."), action: found.act.name }, () => found.run.run(ctx, told.data as never));
      } catch (error) {
        if (error instanceof Refusal) return error;
        throw error;
      }
      done.push(press);
      return null;
    },
  };
}
