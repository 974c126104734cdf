import { typedSize } from "@/core/anatomy/typed-size";
import { foundPieceIs } from "@/data/bench/fitting";
import { addUnlistedPiece, findPartByNumber, findPartType } from "@/data/catalogue/part-types";
import { type Context, Refusal } from "@/data/database/context";
import { writeJournal } from "@/data/database/journal";
import { getOpenJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { wantedPart, wantOwnPart } from "@/data/parts/quote-parts";

/** Says that this reel has another part in a seat, by its number; an empty number gives the seat back to the model. */
export function overrideSeat(
  ctx: Context,
  jobId: number,
  positionId: string,
  number: string,
  words?: { readonly name: string; readonly size: string; readonly material?: string },
): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  if (!machineOf(db, job).anatomy.positions.some((seat) => seat.id === positionId))
    throw new Refusal("no-seat", "This model has no such seat. Reload the page.");
  if (!number && words?.name) {
    const { partTypeId } = wantedPart(db, job, positionId);
    const seat = findPartType(db, partTypeId)!;
    const size = typedSize(words.size, seat.shape);
    if (!size.ok) throw new Refusal("size", size.message, "size");
    // It sits in the seat, whatever the drawing says of its size: nothing is refused. What it is made of is not the drawing's to say.
    const { number: _number, id: _id, supersededBy: _old, ...like } = seat;
    const own = addUnlistedPiece(ctx, { ...like, name: words.name, shape: size.value.shape, material: words.material || "not known yet" });
    foundPieceIs(ctx, job, positionId, own);
    wantOwnPart(ctx, jobId, positionId, own);
    writeJournal(ctx, "seat-overridden", { jobId, reelId: job.reel.id }, { position: positionId, part: own });
    return;
  }
  if (!number) {
    foundPieceIs(ctx, job, positionId, null);
    writeJournal(ctx, "seat-as-model", { jobId, reelId: job.reel.id }, { position: positionId });
    return;
  }
  const type = findPartByNumber(db, number);
  if (!type)
    throw new Refusal("no-part", `No part in the catalogue has the number ${number}. Add it first.`, "number", { to: "new-part", number });
  foundPieceIs(ctx, job, positionId, type.id);
  // What was foreseen or wanted for this seat was the model's part: it would come for nothing.
  wantOwnPart(ctx, jobId, positionId, type.id);
  writeJournal(ctx, "seat-overridden", { jobId, reelId: job.reel.id }, { position: positionId, part: type.id });
}
