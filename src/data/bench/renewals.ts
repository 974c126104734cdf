import { isSeal, renewalsByRule } from "@/core/teardown/seal-unit";
import type { Well } from "@/core/teardown/well";
import type { ModelVersion } from "@/data/catalogue/models";
import type { Db } from "@/data/database/database";
import type { Job } from "@/data/jobs/jobs";
import { listWells } from "./tray";
import { sealsAreDue } from "./ways";

/** What came off a reel, with every reason for a new piece: faults that were proved, and what a rule asks for. */
export function wellsToRenew(db: Db, job: Job, version: ModelVersion): Well[] {
  const due = sealsAreDue(db, job);
  const seats = new Map(version.anatomy.positions.map((position) => [position.id, position]));
  return listWells(db, job.id).map((well) => {
    const seat = seats.get(well.positionId);
    const byRule = renewalsByRule(well, seat?.onceOnly === true, due && isSeal(version.partTypes.get(seat?.partTypeId ?? "")));
    return { ...well, toRenew: [...well.toRenew, ...byRule] };
  });
}
