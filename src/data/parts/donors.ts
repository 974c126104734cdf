import { anatomyOfEdition } from "@/core/anatomy/anatomy-of-edition";
import type { DonorPiece } from "@/core/ordering/book";
import { editionOfReel } from "@/data/catalogue/editions";
import { getCurrentModelVersion } from "@/data/catalogue/models";
import { findPartType } from "@/data/catalogue/part-types";
import { findReel, markScrapped } from "@/data/customers/reels";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { listOverrides } from "@/data/jobs/machine";

const select = `
  SELECT donor_piece.id, part_type.id AS partTypeId, part_type.number, part_type.name, donor_piece.condition, donor_piece.price_minor AS priceMinor,
         donor_piece.drawer, model.maker || ' ' || model.name || CASE WHEN reel.serial = '' THEN '' ELSE ' ' || reel.serial END AS origin,
         reel.id AS reelId, job.tag AS usedTag
  FROM donor_piece JOIN part_type ON part_type.id = donor_piece.part_type_id JOIN reel ON reel.id = donor_piece.reel_id
  JOIN model ON model.id = reel.model_id LEFT JOIN job ON job.id = donor_piece.used_job_id`;

/** Pieces that lie in the donors' drawers, of one part or of all. */
export const listDonorPieces = (db: Db, partTypeId?: string): DonorPiece[] =>
  db
    .prepare(
      `${select} WHERE donor_piece.state = 'lying' AND (@part IS NULL OR part_type.id = @part) ORDER BY part_type.number, donor_piece.condition, donor_piece.id`,
    )
    .all({ part: partTypeId ?? null }) as DonorPiece[];

/** Everything a reel gave, used or not. */
export const listPiecesOfDonor = (db: Db, reelId: number): DonorPiece[] =>
  db.prepare(`${select} WHERE donor_piece.reel_id = ? ORDER BY part_type.number, donor_piece.id`).all(reelId) as DonorPiece[];

export interface DonorSeat {
  readonly positionId: string;
  readonly seat: string;
  readonly assembly: string;
  readonly partTypeId: string;
  readonly number: string;
  readonly priceMinor: number;
}

/** The seats of a reel as it is (its edition, its own parts), for choosing what it gives. */
export function listDonorSeats(db: Db, reelId: number): DonorSeat[] {
  const reel = findReel(db, reelId);
  if (!reel) return [];
  const version = getCurrentModelVersion(db, reel.modelId);
  const edition = editionOfReel(db, reel, version.model, version.anatomy);
  const { assemblies, positions } = anatomyOfEdition(version.anatomy, edition?.edition.id ?? null);
  const overrides = listOverrides(db, reelId);
  const order = new Map(assemblies.map((assembly, i) => [assembly.id, i]));
  return [...positions]
    .sort((a, b) => (order.get(a.assemblyId) ?? 0) - (order.get(b.assemblyId) ?? 0) || a.ordinal - b.ordinal)
    .flatMap((position) => {
      const part = findPartType(db, overrides.get(position.id) ?? position.partTypeId);
      return part
        ? [
            {
              positionId: position.id,
              seat: position.name,
              assembly: assemblies.find((a) => a.id === position.assemblyId)?.name ?? "",
              partTypeId: part.id,
              number: part.number,
              priceMinor: part.priceMinor,
            },
          ]
        : [];
    });
}

/** What a used piece is asked for, as a share of new. Rule of thumb of small repair shops (common practice). */
const usedShare = { good: 0.4, worn: 0.15 } as const;

/**
 * Scraps a reel for its parts: each chosen seat becomes a piece in the drawer, with the reel as its origin. The reel takes no job any more.
 * @throws Refusal when it still hangs here, was scrapped before, or nothing was chosen.
 */
export function scrapReel(
  ctx: Context,
  reelId: number,
  give: { pieces: readonly { positionId: string; condition: "good" | "worn" }[]; drawer: string },
): { pieces: number } {
  const { db } = ctx;
  const reel = findReel(db, reelId);
  if (!reel) throw new Refusal("no-reel", "This reel is no longer on record.");
  const { scrapped_at: scrapped } = db.prepare("SELECT scrapped_at FROM reel WHERE id = ?").get(reelId) as { scrapped_at: string | null };
  if (scrapped) throw new Refusal("scrapped", `This reel was already scrapped for parts on ${scrapped.slice(0, 10)}.`);
  const hanging = db.prepare("SELECT tag FROM job WHERE reel_id = ? AND closed_at IS NULL").get(reelId) as { tag: string } | undefined;
  if (hanging)
    throw new Refusal("hanging", `It is still in the shop as ${hanging.tag}. Return that job first.`, null, {
      to: "station",
      tag: hanging.tag,
      station: "return",
    });
  if (!give.pieces.length) throw new Refusal("nothing", "Choose at least one part worth keeping.", "pieces");
  const seats = new Map(listDonorSeats(db, reelId).map((seat) => [seat.positionId, seat]));
  const add = db.prepare(
    "INSERT INTO donor_piece (reel_id, position_id, part_type_id, condition, price_minor, drawer, at) VALUES (?, ?, ?, ?, ?, ?, ?)",
  );
  for (const { positionId, condition } of give.pieces) {
    const seat = seats.get(positionId);
    if (!seat) throw new Refusal("no-seat", "This reel has no such seat. Reload the page.", "pieces");
    add.run(reelId, positionId, seat.partTypeId, condition, Math.round(seat.priceMinor * usedShare[condition]), give.drawer, ctx.now);
  }
  markScrapped(ctx, reelId);
  writeJournal(ctx, "reel-scrapped", { reelId }, { pieces: give.pieces.length });
  return { pieces: give.pieces.length };
}

/** A piece leaves its drawer for a job. @returns its part. @throws Refusal where it lies there no more. */
export function takeOutOfDrawer(db: Db, pieceId: number, jobId: number): string {
  const partTypeId = db.prepare("SELECT part_type_id FROM donor_piece WHERE id = ? AND state = 'lying'").pluck().get(pieceId) as
    | string
    | undefined;
  if (partTypeId === undefined) throw new Refusal("no-piece", "Another job took this piece. Choose another, or order a new one.");
  db.prepare("UPDATE donor_piece SET state = 'used', used_job_id = ? WHERE id = ?").run(jobId, pieceId);
  return partTypeId;
}

export const layBackInDrawer = (db: Db, pieceId: number): void => {
  db.prepare("UPDATE donor_piece SET state = 'lying', used_job_id = NULL WHERE id = ?").run(pieceId);
};
