import { allStripActs } from "@/core/hands/strip-acts";
import { openingOf, stripGuideOf } from "@/data/bench/opening";
import { takeParts } from "@/data/bench/tray";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import type { Workshop } from "../workshop";

/** Takes a reel of a model apart to its last part, as Strip has it. @returns how many came off. */
export function startJobOn(shop: Workshop, modelId: string): number {
  const id = shop.open({ modelId });
  const job = findJob(shop.db, id)!;
  const version = machineOf(shop.db, job);
  for (const { positionIds } of allStripActs(stripGuideOf(shop.db, job, version, openingOf(shop.db, job, version))))
    takeParts(shop.ctx, id, positionIds);
  return shop.db.prepare("SELECT count(*) FROM tray_well WHERE job_id = ?").pluck().get(id) as number;
}
