import "server-only";
import { kindWords } from "@/core/anatomy/shapes";
import { families } from "@/core/families/families";
import type { FamilyId } from "@/core/vocabulary/families";
import { listUnseated } from "@/data/bench/loose-parts";
import type { Db } from "@/data/database/database";

/** What came off a reel without a schematic, each piece by its name, its seat's or its kind's. */
export function loosePieces(db: Db, jobId: number, family: FamilyId) {
  const usual = new Map(families[family].anatomy.positions.map(({ id, name }) => [id, name]));
  return listUnseated(db, jobId).map((part) => ({ ...part, label: part.name || usual.get(part.seat ?? "") || kindWords[part.kind] }));
}
