import "server-only";
import { kindWords } from "@/core/anatomy/shapes";
import { everyFrame } from "@/core/families/families";
import type { FamilyTemplate } from "@/core/families/template";
import { listUnseated } from "@/data/bench/loose-parts";
import type { Db } from "@/data/database/database";

/** What came off a reel without a schematic, each piece by its name, its seat's or its kind's. */
export function loosePieces(db: Db, jobId: number, template: FamilyTemplate) {
  // Taken before somebody said how it is built, a piece keeps its name.
  const builds = [...everyFrame(template.family), template];
  const usual = new Map(builds.flatMap(({ anatomy }) => anatomy.positions.map(({ id, name }) => [id, name] as const)));
  return listUnseated(db, jobId).map((part) => ({ ...part, label: part.name || usual.get(part.seat ?? "") || kindWords[part.kind] }));
}
