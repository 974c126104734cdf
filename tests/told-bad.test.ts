import { describe, expect, it } from "vitest";
import { protocolFor } from "@/core/proving/protocol";
import { familyIds } from "@/core/vocabulary/families";
import { startModelOf } from "@/data/catalogue/built";
import { openJob } from "@/data/counter/open-job";
import { diagnosisOf } from "@/data/diagnosis/diagnosis";
import { recordObservation } from "@/data/diagnosis/observations";
import { findJob } from "@/data/jobs/jobs";
import { intake, openWorkshop, plainJob } from "./workshop";

const shop = openWorkshop();
let serial = 0;

describe.each(familyIds)("%s: a test that was told bad", (family) => {
  it("is never answered by a page on which nothing points to a fault, whichever test it is", () => {
    const modelId = startModelOf(shop.ctx, { maker: "Own", name: `told ${family}`, family, prefix: `TB${++serial}` }, {}).id;
    for (const { id: testId } of protocolFor(family)) {
      const job = openJob(
        shop.ctx,
        plainJob({ modelId, serial: `TB ${++serial}`, kind: "repair", depth: "complaint", intake: intake({ complaints: [] }) }),
      );
      recordObservation(shop.ctx, {
        jobId: job.id,
        phase: "before",
        testId,
        verdict: "bad",
        value: null,
        lineRadiusMm: null,
        instrument: "by hand",
        simulated: false,
        trace: null,
      });
      const { diagnosis } = diagnosisOf(shop.db, findJob(shop.db, job.id)!);
      expect(diagnosis.ranked.filter(({ spokenFor }) => spokenFor).length, testId).toBeGreaterThan(0);
    }
  });
});
