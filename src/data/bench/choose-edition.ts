import { editionOfReel } from "@/data/catalogue/editions";
import { getModelVersion } from "@/data/catalogue/models";
import { giveReelEdition } from "@/data/customers/reels";
import { type Context, Refusal } from "@/data/database/context";
import { writeJournal } from "@/data/database/journal";
import { giveJobEdition } from "@/data/jobs/job-row";
import { getOpenJob } from "@/data/jobs/jobs";
import { listWells } from "./tray";

/**
 * Says at the bench which edition a reel is, by what somebody saw on it; null goes back to what its serial tells.
 * @throws Refusal when a part lies in the tray whose seat that edition does not have.
 */
export function chooseEdition(ctx: Context, jobId: number, editionId: string | null): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const { anatomy, model } = getModelVersion(db, job.modelVersionId);
  if (editionId !== null && !anatomy.editions.some((edition) => edition.id === editionId))
    throw new Refusal("no-edition", "This model has no such edition. Reload the page.", "editionId");
  giveReelEdition(db, job.reel.id, editionId);
  const pinned = editionOfReel(db, job.reel, model, anatomy)?.edition.id ?? null;
  const seats = new Map(anatomy.positions.map((position) => [position.id, position]));
  for (const well of listWells(db, jobId)) {
    const seat = seats.get(well.positionId);
    if (seat?.editions.length && pinned && !seat.editions.includes(pinned))
      throw new Refusal("in-tray", `${seat.name} is in well ${well.well}; that edition does not have it. Put it back first.`, "editionId");
  }
  giveJobEdition(db, jobId, pinned);
  writeJournal(ctx, "edition-chosen", { jobId, reelId: job.reel.id }, { edition: editionId });
}
