import { glance } from "@/core/intake/glance";
import type { TestId } from "@/core/vocabulary/tests";
import type { Db } from "@/data/database/database";
import { listObservations } from "@/data/diagnosis/observations";
import { listJobsOfReel } from "@/data/jobs/jobs";
import { listFittedParts } from "@/data/jobs/pieces";

/** What the counter is told of a reel that was here before, in a few sentences. */
export const glanceAtReel = (db: Db, reelId: number, today: string): string[] =>
  glance(
    listJobsOfReel(db, reelId)
      .filter((job) => job.closedAt !== null && job.declinedReason === null)
      .map((job) => ({
        on: job.openedAt.slice(0, 10),
        renewed: listFittedParts(db, job.id).map((part) => part.positionName),
        before: new Map<TestId, number>(
          listObservations(db, job.id).flatMap(({ phase, testId, value, simulated }) =>
            phase === "before" && value !== null && !simulated ? [[testId, value] as const] : [],
          ),
        ),
      })),
    today,
  );
