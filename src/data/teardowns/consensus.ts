import { type Consensus, consensusOf, consensusParts } from "@/core/anatomy/consensus";
import { editSeat, startDraft } from "@/core/anatomy/draft";
import { guessAnatomy } from "@/core/anatomy/guess-anatomy";
import { families } from "@/core/families/families";
import { listLooseParts } from "@/data/bench/loose-parts";
import { addModelVersion, getCurrentModelVersion, reviseModel } from "@/data/catalogue/models";
import { addPartType } from "@/data/catalogue/part-types";
import { listSeatWear } from "@/data/ledger/seat-wear";
import { type Context, Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { writeJournal } from "@/data/store/journal";

/** So many teardowns say more than one. */
export const leastTeardowns = 2;

/** Jobs of a model that were taken apart without a schematic, the first first. */
const teardownsOf = (db: Db, modelId: string): { jobId: number; tag: string }[] =>
  db
    .prepare(
      `SELECT job.id AS jobId, job.tag FROM job JOIN model_version ON model_version.id = job.model_version_id
       WHERE model_version.model_id = ? AND EXISTS (SELECT 1 FROM loose_part WHERE loose_part.job_id = job.id) ORDER BY job.id`,
    )
    .all(modelId) as { jobId: number; tag: string }[];

/** What the teardowns of a model agree on, with whose they are; null under two of them. */
export function consensusOfModel(db: Db, modelId: string): (Consensus & { readonly tags: readonly string[] }) | null {
  const teardowns = teardownsOf(db, modelId);
  if (teardowns.length < leastTeardowns) return null;
  return { ...consensusOf(teardowns.map(({ jobId }) => listLooseParts(db, jobId))), tags: teardowns.map(({ tag }) => tag) };
}

/** Makes what the teardowns agree on the model's schematic. @throws Refusal where there is one already, or too few teardowns. */
export function takeConsensus(ctx: Context, modelId: string): { readonly seats: number } {
  const version = getCurrentModelVersion(ctx.db, modelId);
  if (version.anatomy.positions.length) throw new Refusal("has-schematic", "This model has a schematic already.");
  const consensus = consensusOfModel(ctx.db, modelId);
  if (!consensus) throw new Refusal("too-few", "Two teardowns are needed before they can agree on anything.");
  const parts = consensusParts(consensus);
  const { anatomy, partTypes } = guessAnatomy(parts, `c${version.number}-${modelId}`.slice(0, 40), families[version.model.family]);
  for (const part of partTypes) addPartType(ctx, part);
  addModelVersion(ctx, modelId, { lineRadiusMm: version.lineRadiusMm, anatomy });
  writeJournal(ctx, "consensus-taken", {}, { model: modelId, teardowns: consensus.teardowns, seats: parts.length });
  return { seats: parts.length };
}

/** A seat that fails often, with what is said of it where nothing is yet. */
export interface FailingSeat {
  readonly seatId: string;
  readonly name: string;
  readonly seen: number;
  readonly worn: number;
  /** What its caution says now; empty for none. */
  readonly caution: string;
}

/** Under so many looks a seat says nothing of itself. */
const leastSeen = 5;
/** From such a share of all looks on it is said to fail often. */
const oftenWorn = 0.25;

/** Seats that are worn in a quarter of all looks and more, the worst first. */
export function failingSeats(db: Db, modelId: string): FailingSeat[] {
  const { anatomy } = getCurrentModelVersion(db, modelId);
  const wear = listSeatWear(db, modelId);
  return anatomy.positions
    .flatMap(({ id, name, caution }) => {
      const own = wear[id];
      return own && own.seen >= leastSeen && own.worn / own.seen >= oftenWorn ? [{ seatId: id, name, ...own, caution: caution ?? "" }] : [];
    })
    .sort((a, b) => b.worn / b.seen - a.worn / a.seen);
}

export const failingWords = ({ seen, worn }: Pick<FailingSeat, "seen" | "worn">): string =>
  `Fails often: worn in ${worn} of ${seen} reels opened here.`;

/** Says at a seat, in the model's next version, how often it was found worn. */
export function takeFailing(ctx: Context, modelId: string, baseNumber: number, seatId: string): { readonly number: number } {
  const seat = failingSeats(ctx.db, modelId).find((one) => one.seatId === seatId);
  if (!seat) throw new Refusal("not-failing", "This seat does not fail often any more. Reload the page.");
  const { anatomy } = getCurrentModelVersion(ctx.db, modelId);
  // What somebody wrote there stays before it.
  const own = seat.caution.replace(/\s*Fails often: worn in \d+ of \d+ reels opened here\./, "").trim();
  const caution = `${own}${own ? " " : ""}${failingWords(seat)}`.slice(0, 200);
  return reviseModel(ctx, modelId, baseNumber, editSeat(startDraft(anatomy), seatId, { caution }));
}
