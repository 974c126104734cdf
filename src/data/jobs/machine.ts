import { anatomyOfEdition } from "@/core/anatomy/anatomy-of-edition";
import type { PartType } from "@/core/anatomy/types";
import { getModelVersion, type ModelVersion } from "@/data/catalogue/models";
import { findPartTypes } from "@/data/catalogue/part-types";
import type { Db } from "@/data/store/database";
import type { Job } from "./jobs";

/** Seats of a reel that hold another part than its model says. */
export const listOverrides = (db: Db, reelId: number): ReadonlyMap<string, string> =>
  new Map(
    (
      db.prepare("SELECT position_id, part_type_id FROM reel_override WHERE reel_id = ?").all(reelId) as {
        position_id: string;
        part_type_id: string;
      }[]
    ).map((row) => [row.position_id, row.part_type_id]),
  );

/**
 * The machine that lies on the bench: the job's model version as its edition was built, with this reel's own parts in their seats. Everything
 * that asks what sits where (schematic, tray, build, stock, orders, quote, report) asks here, so editions and hybrids work everywhere.
 */
export function machineOf(db: Db, job: Pick<Job, "modelVersionId" | "editionId" | "reel">): ModelVersion {
  const whole = getModelVersion(db, job.modelVersionId);
  const version = { ...whole, anatomy: anatomyOfEdition(whole.anatomy, job.editionId) };
  const overrides = listOverrides(db, job.reel.id);
  if (!overrides.size) return version;
  const own = findPartTypes(db, overrides.values());
  const partTypes = new Map<string, PartType>([...version.partTypes, ...own]);
  const positions = version.anatomy.positions.map((position) => {
    const type = own.get(overrides.get(position.id) ?? "");
    return type ? { ...position, partTypeId: type.id } : position;
  });
  return { ...version, anatomy: { ...version.anatomy, positions }, partTypes };
}
