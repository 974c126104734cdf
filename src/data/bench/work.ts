import { type WorkDone, workDone } from "@/core/report/work-done";
import type { ModelVersion } from "@/data/catalogue/models";
import type { Db } from "@/data/database/database";
import type { Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { getBuild } from "./build";
import { listExtraPieces } from "./extra-pieces";
import { listOilPoints } from "./oil-points";
import { openingOf } from "./opening";
import { listStepsNoted } from "./step-noted";
import { listWells } from "./tray";

/** What was done on a job beside faults and new parts, as far as it has come. */
export const workOf = (db: Db, job: Job, version: ModelVersion = machineOf(db, job)): WorkDone =>
  workDone(version.anatomy, {
    wells: listWells(db, job.id),
    steps: getBuild(db, job, version).steps,
    points: listOilPoints(db, job, version),
    extras: listExtraPieces(db, job.id),
    noted: listStepsNoted(db, job.id),
    why: openingOf(db, job, version).depth.open,
  });
