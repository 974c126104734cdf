import { afterClean } from "@/core/cleaning/after-clean";
import { knowledgeOfCase } from "@/core/diagnosis/case-net";
import { faults } from "@/core/diagnosis/fault-table";
import { proveNow } from "@/core/diagnosis/prove-now";
import { returnNow } from "@/core/hand-back/return-now";
import { stationAfter } from "@/core/intake/job-kinds";
import { partsKeyOf } from "@/core/interchange/seat-facts";
import { asItIsReasonIds } from "@/core/vocabulary/as-it-is";
import type { Station } from "@/core/vocabulary/job-kinds";
import { wellsToRenew } from "@/data/bench/renewals";
import { partsOfJob } from "@/data/bench/seat-facts";
import { diagnosisOf, listLooks } from "@/data/diagnosis/diagnosis";
import { hereFor } from "@/data/hand-back/going-home";
import { machineOf } from "@/data/jobs/machine";
import { setBin } from "@/data/parts/stock";
import { getQuote } from "@/data/quote/quotes";
import type { Bench, Press } from "./job";
import { atBuild, buildKeyAt, isLoose, offeredAt, stripNowAt } from "./offered";

/** What the space bar does on a page: an act, the next page, or the Rack for what is to come. */
export type Space = { readonly press: Press } | { readonly go: Station } | { readonly waits: number };

const handBack = { signedBy: "Ada Brook", paidBy: null, paidNote: "", oldParts: null };

/** By the same rules the pages use. A yes for the customer is no space bar's; here they have said it. */
export function spaceAt(station: Station, bench: Bench): Space {
  const { shop, jobId } = bench;
  const job = bench.job();
  const version = machineOf(shop.db, job);
  const orGo = (press: Press | null, go: Station): Space => (press ? { press } : { go });
  const after = (of: Station) => stationAfter(job, of) ?? "return";
  switch (station) {
    case "test":
      return orGo(offeredAt("test", bench), after("test"));
    case "find": {
      const { subject, diagnosis } = diagnosisOf(shop.db, job);
      const proved = proveNow(diagnosis, knowledgeOfCase(subject), listLooks(shop.db, jobId));
      return orGo(proved && ["settle-fault", { jobId, faultId: proved.id, proved: true }], after("find"));
    }
    case "quote":
      return orGo(offeredAt("quote", bench), job.declinedReason === null ? "strip" : "return");
    case "strip":
      if (!isLoose(version)) {
        const { key } = stripNowAt(bench, version);
        if (key.what === "ask-first") return { go: "quote" };
        if (key.what === "choose-what-to-open") return { go: "test" };
        if (key.what === "nothing-to-open") return { go: "build" };
      }
      return orGo(offeredAt("strip", bench), "clean");
    case "clean":
      return orGo(
        offeredAt("clean", bench),
        afterClean(
          wellsToRenew(shop.db, job, version),
          getQuote(shop.db, job).parts.map(({ positionId }) => positionId),
        ),
      );
    case "parts":
      return atParts(bench);
    case "build": {
      const key = buildKeyAt(bench, version);
      if (key.what === "fit-new" || key.what === "renew" || key.what === "not-here") return { go: "parts" };
      if (key.what === "clean-first") return { go: "clean" };
      return orGo(atBuild(bench, version), "prove");
    }
    case "prove":
      return orGo(offeredAt("prove", bench), "return");
    case "return": {
      const key = returnNow(hereFor(shop.db, job), job.station === "return");
      switch (key.what) {
        case "go":
          return { go: key.station };
        // The person says it: here, that it was put right, or that the reel goes with it.
        case "say":
          return faults.some(({ id }) => id === key.about)
            ? { press: ["fault-put-right", { jobId, faultId: key.about, putRight: true }] }
            : { press: ["goes-as-it-is", { jobId, testId: key.about, reason: asItIsReasonIds[0] }] };
        case "give":
          return { press: ["tick", { jobId, item: key.items[0], given: true }] };
        case "ready":
          return { press: ["ready", { jobId }] };
        case "return":
          return { press: ["close", { jobId, ...handBack }] };
      }
    }
  }
}

/** The post has come: of everything the reel wants some lie in the bin. */
export function postComes({ shop, job }: Bench): void {
  const { seats } = partsOfJob(shop.db, job(), machineOf(shop.db, job()));
  for (const { need, wantedPartTypeId } of seats) if (need !== null) setBin(shop.ctx, wantedPartTypeId, "B9", 5, 1);
}

/** What the space bar does at Parts. */
function atParts({ shop, job, jobId }: Bench): Space {
  const { seats, agreed } = partsOfJob(shop.db, job(), machineOf(shop.db, job()));
  const key = partsKeyOf(seats, agreed);
  switch (key.what) {
    case "fit":
      return { press: ["use-several", { jobId, positionIds: key.positionIds }] };
    case "order":
      return { press: ["need-several", { jobId, positionIds: key.positionIds }] };
    case "elsewhere":
      return {
        press: [
          "use-piece",
          {
            ...{ jobId, positionId: key.positionId, source: "drawer", kind: "", size: "", material: "", closure: "" },
            ...{ priceMinor: "", anyway: true },
          },
        ],
      };
    case "ask-first":
      return { go: "quote" };
    case "wait":
      return { waits: key.count };
    case "on":
      return { go: "build" };
  }
}
