import { expectedPieces } from "@/core/families/expected-pieces";
import { familyWith } from "@/core/families/families";
import type { KeepsHere } from "@/core/hand-back/going-home";
import { buildNow } from "@/core/hands/build-now";
import { stripNow } from "@/core/hands/strip-now";
import { protocolOfJob } from "@/core/intake/job-kinds";
import { partsKeyOf } from "@/core/interchange/seat-facts";
import { mayOpen } from "@/core/quote/consent";
import { asItCame } from "@/core/teardown/came-without";
import { shutBy } from "@/core/teardown/oil-window";
import { waitsForNew } from "@/core/teardown/verdicts";
import { asItIsReasonIds } from "@/core/vocabulary/as-it-is";
import { closeOverReasons, leftOffReasons, oldPieceReasons } from "@/core/vocabulary/build-reasons";
import { answersThatHold, getBuild } from "@/data/bench/build";
import { getCleaning, seatsToClean } from "@/data/bench/cleaning";
import { listExtraPieces } from "@/data/bench/extra-pieces";
import { listLooseParts } from "@/data/bench/loose-parts";
import { listOilPoints } from "@/data/bench/oil-points";
import { openingOf, stripGuideOf } from "@/data/bench/opening";
import { partsOfJob } from "@/data/bench/seat-facts";
import { listWells } from "@/data/bench/tray";
import { allTested } from "@/data/diagnosis/observations";
import { hereFor } from "@/data/hand-back/going-home";
import { machineOf } from "@/data/jobs/machine";
import { listForeseen } from "@/data/parts/quote-parts";
import { getQuote } from "@/data/quote/quotes";
import type { Bench, Press } from "./job";

/** The page a hand stands at, as far as it offers something. */
export const pages = ["test", "quote", "strip", "clean", "parts", "oil", "build", "prove"] as const;
export type PageId = (typeof pages)[number];

/** What comes off next, and the main key of Strip, by the page's own rule. */
export function stripNowAt({ shop: { db }, job, jobId }: OnBench, version: ReturnType<typeof machineOf>) {
  const now = job();
  const off = new Set(listWells(db, jobId).map(({ positionId }) => positionId));
  const opening = openingOf(db, now, version);
  return stripNow({
    guide: stripGuideOf(db, now, version, opening),
    ...{ off, picked: null, lastAssemblyId: null, towardsAssemblyId: null },
    ...{ mayStrip: mayOpen(getQuote(db, now)), anyOpened: opening.depth.open.size > 0, tested: allTested(db, now, version.model.family) },
  });
}

/** What the main key of a page does now; null where it offers nothing. */
export function offeredAt(page: PageId, { shop: { db }, job, jobId }: Bench): Press | null {
  const now = job();
  const version = machineOf(db, now);
  const tests = protocolOfJob(version.model.family, now).map(({ id }) => id);
  const made = (phase: string) =>
    new Set(
      db
        .prepare(
          "SELECT test_id FROM observation WHERE job_id = ? AND phase = ? UNION SELECT test_id FROM skipped_test WHERE job_id = ? AND phase = ?",
        )
        .pluck()
        .all(jobId, phase, jobId, phase) as string[],
    );
  switch (page) {
    case "test":
    case "prove": {
      const phase = page === "test" ? "before" : "after";
      // At Prove only what was asked since the last piece went in.
      const hold = new Set(answersThatHold(db, now).flatMap(({ testId, phase: of }) => (of === "after" ? [testId] : [])));
      const open = tests.filter((id) => !(phase === "before" ? made(phase).has(id) : hold.has(id)));
      return open.length ? ["tests-all-good", { jobId, phase, testIds: open }] : null;
    }
    case "quote": {
      const { consent, sum } = getQuote(db, now);
      return consent === "ask" ? ["answer", { jobId, accepted: true, totalMinor: sum.totalMinor, words: "yes, by phone" }] : null;
    }
    case "strip": {
      if (isLoose(version)) {
        const tray = listLooseParts(db, jobId);
        const piece = expectedPieces(familyWith(version.model.family, {}))[tray.length];
        return piece && tray.length < 9
          ? ["loose-take", { jobId, kind: piece.kind, pieceId: piece.id, count: null, side: null }]
          : tray.length
            ? ["make-schematic", { jobId }]
            : null;
      }
      const { key } = stripNowAt({ shop: { db }, job, jobId }, version);
      return key.what === "take" ? ["take-parts", { jobId, positionIds: key.act.positionIds }] : null;
    }
    case "clean":
      return getCleaning(db, now).groups.some(({ waiting }) => waiting.length) ? ["all-cleaned-by-hand", { jobId }] : null;
    case "parts": {
      const { seats, agreed } = partsOfJob(db, now, version);
      const key = partsKeyOf(seats, agreed);
      if (key.what === "fit") return ["use-several", { jobId, positionIds: key.positionIds }];
      return key.what === "order" ? ["need-several", { jobId, positionIds: key.positionIds }] : null;
    }
    case "oil": {
      const { steps } = getBuild(db, now, version);
      const points = listOilPoints(db, now, version).filter(
        ({ state, behind }) => state === "waiting" && behind.length && shutBy(behind, steps) === null,
      );
      return points.length ? ["oil-points", { jobId, positionIds: points.map(({ positionId }) => positionId), state: "oiled" }] : null;
    }
    case "build": {
      return atBuild({ shop: { db }, job, jobId }, version);
    }
  }
}

type OnBench = Pick<Bench, "jobId" | "job"> & { shop: Pick<Bench["shop"], "db"> };

/** The main key of Build, by the page's own rule. */
export function buildKeyAt({ shop: { db }, job, jobId }: OnBench, version: ReturnType<typeof machineOf>) {
  const { steps, batches } = getBuild(db, job(), version);
  return buildNow(
    {
      steps,
      batches,
      points: listOilPoints(db, job(), version),
      anatomy: version.anatomy,
      types: version.partTypes,
      toClean: seatsToClean(db, job(), version),
      foreseen: listForeseen(db, jobId),
    },
    null,
    false,
  ).key;
}

/** What that key does. */
export function atBuild(bench: OnBench, version: ReturnType<typeof machineOf>): Press | null {
  const { jobId, shop } = bench;
  const key = buildKeyAt(bench, version);
  switch (key.what) {
    case "done":
    case "passes":
    // The page asks for new ones first, or for a reason from its list.
    case "renew":
      return ["steps-done", { jobId, operationIds: key.operationIds }];
    case "oil":
      return ["oil-points", { jobId, positionIds: key.points.map(({ positionId }) => positionId), state: "oiled" }];
    case "oil-rest":
      return ["oil-points", { jobId, positionIds: key.positionIds, state: "oiled" }];
    case "as-it-came":
      return ["step-left-off", { jobId, operationId: key.left[0]!.operation.id, reason: asItCame }];
    case "clean-first":
      return ["all-cleaned-by-hand", { jobId }];
    // The page leads to Parts.
    case "fit-new":
    case "not-here": {
      const well = listWells(shop.db, jobId).find((one) => waitsForNew(one));
      return well ? ["use", { jobId, positionId: well.positionId }] : null;
    }
    case "first":
    case "looking":
    case "to-prove":
      return null;
  }
}

/** A reel whose model has no drawing yet. */
export const isLoose = ({ model, anatomy }: ReturnType<typeof machineOf>) =>
  model.id.startsWith("unknown-") && anatomy.positions.length < 3;

/** What a page offers where its main key asks for one thing more: a choice from its own list, never words of one's own. */
export function answered(press: Press, code: string, bench: Bench): Press[] {
  const [act, input] = press;
  const { jobId, chance } = bench;
  if (act === "steps-done" && code === "old-piece") return [[act, { ...input, reason: chance.one(oldPieceReasons) }]];
  if (act === "steps-done" && code === "buries") return [[act, { ...input, reason: chance.one(closeOverReasons) }]];
  if (act === "use" || code === "waits-for-part") {
    const well = listWells(bench.shop.db, jobId).find((one) => waitsForNew(one));
    if (!well) return [];
    const piece = { source: "drawer", kind: "", size: "", material: "", closure: "", priceMinor: "", anyway: true };
    return [
      ["use", { jobId, positionId: well.positionId }],
      ["use-piece", { jobId, positionId: well.positionId, ...piece }],
    ];
  }
  return [];
}

/** The way out of what keeps a reel here, as its page offers it: the first that is taken. Nobody invents a reason. */
export function waysOut(block: KeepsHere, bench: Bench): Press[] {
  const { jobId, shop, chance } = bench;
  const build = () => offeredAt("build", bench);
  const tests = (phase: "before" | "after") => {
    const now = bench.job();
    const all = protocolOfJob(machineOf(shop.db, now).model.family, now).map(({ id }) => id);
    return [["tests-all-good", { jobId, phase, testIds: all }] as const];
  };
  switch (block.what) {
    case "well": {
      const well = listWells(shop.db, jobId).find(({ positionId }) => positionId === block.positionId)!;
      const next = build();
      return [
        ...(well.soakId === null ? [] : [["count-back", { jobId, soakId: well.soakId, missing: [] }] as const]),
        ...(next ? [next] : []),
        ["leave-out", { jobId, positionIds: [block.positionId], reason: chance.one(leftOffReasons) }],
      ];
    }
    case "gate":
    case "step": {
      const next = build();
      return next ? [next] : [];
    }
    case "foreseen":
      return (shop.db.prepare("SELECT position_id FROM quote_part WHERE job_id = ?").pluck().all(jobId) as string[]).map(
        (positionId) => ["foresee", { jobId, positionId, wanted: false }] as const,
      );
    case "not-drawn":
      return listExtraPieces(shop.db, jobId)
        .filter(({ state }) => state === "off")
        .map(({ id }) => ["extra-piece-settled", { jobId, id, state: "back" }] as const);
    case "no-schematic":
      return [["make-schematic", { jobId }]];
    case "oil": {
      const ids = listOilPoints(shop.db, bench.job()).flatMap(({ state, positionId }) => (state === "waiting" ? [positionId] : []));
      return [
        ["oil-points", { jobId, positionIds: ids, state: "oiled" }],
        ["oil-points", { jobId, positionIds: ids, state: "left-out" }],
      ];
    }
    case "not-tested":
    case "left-out-without-reason":
      return tests(block.at === "Test" ? "before" : "after");
    case "not-since-together":
      return tests("after");
    case "still-bad":
      return [
        ["goes-as-it-is", { jobId, testId: block.testId, reason: chance.one(asItIsReasonIds) }],
        ["test", good(jobId, block.testId)],
      ];
    case "open-fault":
      return [
        ["fault-put-right", { jobId, faultId: block.faultId, putRight: true }],
        ["fault-outcome", { jobId, faultId: block.faultId, outcome: "declined" }],
      ];
    case "pays":
      return [["who-pays", { jobId, pays: chance.one(["us", "customer"]) }]];
    case "over-limit":
      return [["answer", { jobId, accepted: true, totalMinor: getQuote(shop.db, bench.job()).sum.totalMinor, words: "yes, by phone" }]];
    case "brought":
      return [["tick", { jobId, item: block.item, given: true }]];
  }
}

export const good = (jobId: number, testId: string, verdict = "good", phase = "after") => ({
  ...{ jobId, phase, testId, verdict, value: null, lineRadiusMm: null },
  instrument: "by hand",
  simulated: false,
  trace: null,
});

/**
 * From whatever state to the owner: what keeps the reel here is cleared, the first by its first way that is taken. @throws Error where no way is left, and
 * where a way that is offered is refused until none is.
 */
export function goesHome(bench: Bench): void {
  const { jobId, press, shop } = bench;
  for (let acts = 0; acts < 700; acts++) {
    const job = bench.job();
    if (job.closedAt) return;
    const [block] = hereFor(shop.db, job);
    if (!block) {
      if (job.station !== "return") {
        const refused = press(["ready", { jobId }]);
        if (refused) throw new Error(`nothing keeps it here, and ready is refused: ${refused.message}`);
      }
      const refused = press(["close", { jobId, signedBy: "Ada Brook", paidBy: null, paidNote: "", oldParts: null }]);
      if (refused) throw new Error(`nothing keeps it here, and it cannot be handed back: ${refused.code} ${refused.message}`);
      continue;
    }
    const tried: string[] = [];
    const ways = [...waysOut(block, bench)];
    let taken = false;
    for (const way of ways) {
      const refused = press(way);
      if (!refused) {
        taken = true;
        break;
      }
      tried.push(`${way[0]}: ${refused.code} ${refused.message}`);
      const further = tried.length < 12 ? answered(way, refused.code, bench) : [];
      for (const one of further) {
        const again = press(one);
        if (!again) {
          taken = true;
          break;
        }
        tried.push(`${one[0]}: ${again.code} ${again.message}`);
      }
      if (taken) break;
    }
    if (!taken) throw new Error(`no way out of ${JSON.stringify(block)}: ${tried.join(" | ")}`);
  }
  throw new Error(
    `700 presses and still here: ${hereFor(shop.db, bench.job())
      .map((one) => JSON.stringify(one))
      .join(", ")}`,
  );
}
