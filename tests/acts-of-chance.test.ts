import { describe, expect, it } from "vitest";
import { actOf } from "@/app/acts/registry";
import { boardOf, type Pressed } from "@/core/acts/act/board";
import { buildBoard, oilBoard } from "@/core/acts/build/board";
import { type LotAnswers, lotBoard } from "@/core/acts/lot/board";
import { type CountedBin, walkBoard } from "@/core/acts/stores/board";
import { stripBoard } from "@/core/acts/strip/board";
import { looseBoard } from "@/core/acts/strip/loose-board";
import { testBoard } from "@/core/acts/test/board";
import { expectedPieces } from "@/core/families/expected-pieces";
import { families } from "@/core/families/families";
import { buildActFrom, nextBuildAct } from "@/core/hands/build-acts";
import { actFrom, nextStripAct } from "@/core/hands/strip-acts";
import type { JournalAction } from "@/core/journal/journal-sentence";
import { testSpec } from "@/core/proving/protocol";
import { testIds, verdicts } from "@/core/vocabulary/tests";
import { getBuild } from "@/data/bench/build";
import { addUnknownModel, listLooseParts } from "@/data/bench/loose-parts";
import { type JobOilPoint, listOilPoints } from "@/data/bench/oil-points";
import { openingOf, stripGuideOf } from "@/data/bench/opening";
import { listWells, takeAllAsCame } from "@/data/bench/tray";
import { listInPlace } from "@/data/bench/ways";
import { Refusal } from "@/data/database/context";
import { revisionOf } from "@/data/database/journal";
import { pressOnce } from "@/data/database/press";
import { settledOf } from "@/data/diagnosis/diagnosis";
import { listObservations, listSkipped, verdictsBefore } from "@/data/diagnosis/observations";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listStock } from "@/data/parts/stock";
import { createPressQueue } from "@/ui/act/press-queue";
import { stream } from "./random-stream";
import { openWorkshop, type Workshop } from "./workshop";

/** Chance with the few ways of choosing that a hand has. */
interface Chance {
  readonly number: () => number;
  readonly one: <T>(of: readonly T[]) => T;
  readonly some: <T>(of: readonly T[], most: number) => T[];
}
function chanceOf(seed: number): Chance {
  const number = stream(seed);
  const one = <T>(of: readonly T[]): T => of[Math.floor(number() * of.length)]!;
  return { number, one, some: (of, most) => [...new Set(Array.from({ length: 1 + Math.floor(number() * most) }, () => one(of)))] };
}

/** One place where presses are shown at once: what the bench keeps of it, how a page changes that, and what a hand presses there by chance. */
interface Place<S> {
  readonly read: () => S;
  readonly change: (state: S, press: Pressed) => S;
  /** An act and its input, chosen from what the page shows, and now and then from anything. */
  readonly press: (shown: S, chance: Chance) => readonly [string, object];
  /** What of a state a page shows: no ids and times that only the bench gives. */
  readonly shows: (state: S) => unknown;
}

/** A place whose state only it knows. */
const placeOf = <S>(place: Place<S>) => place as unknown as Place<unknown>;

/** Does a press as the door does: by the registry, once, in one transaction. */
function bench(shop: Workshop, press: Pressed) {
  const { act, run } = actOf(press.act)!;
  const told = act.input.parse(press.input) as never;
  const before = revisionOf(shop.db);
  try {
    pressOnce(shop.ctx, { id: press.id, action: act.name }, () => run.run(shop.ctx, told));
    // What it says it writes in the journal it writes, unless it was done before.
    const written = shop.db.prepare("SELECT DISTINCT action FROM journal WHERE id > ?").pluck().all(before) as JournalAction[];
    if (written.length)
      expect(
        written.some((entry) => act.journals.some((own) => own === entry)),
        act.name,
      ).toBe(true);
    return { ok: true as const, value: null, revision: revisionOf(shop.db) };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false as const, message: error.message, fields: {} };
    throw error;
  }
}

/** A page with its queue of presses, over a line that now and then loses an answer: the press is sent again by the same id. */
function openPage<S>(shop: Workshop, place: Place<S>, chance: Chance) {
  let [snapshot, revision] = [place.read(), revisionOf(shop.db)];
  let refusals = 0;
  const queue = createPressQueue({
    keep: () => undefined,
    settled: () => undefined,
    pause: () => Promise.resolve(),
    send: async (press) => {
      const answer = bench(shop, press);
      if (chance.number() < 0.15) throw new Error("the answer was lost");
      if (!answer.ok) refusals++;
      return answer;
    },
  });
  const shown = () => {
    const { done, pending } = queue.state();
    return [...done.filter((press) => press.revision > revision), ...pending].reduce(place.change, snapshot);
  };
  let pressed = 0;
  return {
    shown,
    press: (id: string) => {
      const [act, input] = place.press(shown(), chance);
      pressed++;
      queue.add({ id: `${id} ${pressed}`.padEnd(10, "."), act, input, words: "", about: "" });
    },
    idle: queue.idle,
    refresh: () => {
      [snapshot, revision] = [place.read(), revisionOf(shop.db)];
      queue.shown(revision);
      queue.goOn();
    },
    refusals: () => refusals,
    pressed: () => pressed,
  };
}

const job = (shop: Workshop, id: number) => findJob(shop.db, id)!;

/** Strip by the drawing: what comes off next as the page offers it, any part by itself, parts that were not there, undo, served where it sits. */
function strip(shop: Workshop) {
  const jobId = shop.open({});
  const version = machineOf(shop.db, job(shop, jobId));
  const seats = new Map(version.anatomy.positions.map((position) => [position.id, position]));
  const ids = [...seats.keys()];
  const guide = stripGuideOf(shop.db, job(shop, jobId), version, openingOf(shop.db, job(shop, jobId), version));
  return placeOf({
    read: () => ({ wells: listWells(shop.db, jobId), inPlace: listInPlace(shop.db, jobId) }),
    change: stripBoard(seats),
    press: ({ wells }, { number, one, some }) => {
      const off = new Set(wells.map(({ positionId }) => positionId));
      const kind = number();
      if (kind < 0.15 && wells.length) {
        const last = wells.filter(({ well }) => well === wells.at(-1)!.well).map(({ positionId }) => positionId);
        return ["put-back", { jobId, positionIds: number() < 0.1 ? some(ids, 2) : last }];
      }
      if (kind < 0.25) return ["serve-in-place", { jobId, positionId: one(ids), reason: one(["pressed in", "will not come off"]) }];
      if (kind < 0.33) return ["leave-in", { jobId, positionIds: some(ids, 3), stays: number() < 0.7 }];
      const next =
        number() < 0.7 ? nextStripAct(guide, off, { lastAssemblyId: null, towardsAssemblyId: null }) : actFrom(guide, one(ids), off);
      const positionIds = next && number() < 0.8 ? next.positionIds : some(ids, 3);
      return ["take-parts", { jobId, positionIds, ...(number() < 0.15 ? { absent: some(positionIds, 1) } : {}) }];
    },
    shows: ({ wells, inPlace }) => ({
      wells: wells.map(({ well, place: at, positionId, verdict, orientation, note, hole, foundCount }) => ({
        ...{ well, at, positionId, verdict, orientation, note, hole, foundCount },
      })),
      inPlace: inPlace.map(({ positionId, reason }) => `${positionId}: ${reason}`).sort(),
    }),
  });
}

function loose(shop: Workshop) {
  const modelId = addUnknownModel(shop.ctx, { maker: "Oddwater", name: "Nameless", family: "star-drag-bridge" });
  const jobId = shop.open({ modelId });
  const pieces = expectedPieces(families["star-drag-bridge"]);
  return placeOf({
    read: () => listLooseParts(shop.db, jobId).map((part) => ({ ...part, label: "" })),
    change: looseBoard(pieces),
    press: (tray, { number, one }) => {
      const well = tray.at(-1)?.well ?? 0;
      if (well && number() < 0.3) return ["loose-put-back", { jobId, well }];
      const piece = number() < 0.7 ? one(pieces) : null;
      const [kind, pieceId] = [piece?.kind ?? "washer", piece?.id ?? null];
      return ["loose-take", { jobId, well: well + 1, kind, pieceId, count: one([null, null, 2, 3]), side: one([null, "tail"]) }];
    },
    shows: (tray) => tray.map(({ label: _, ...known }) => known),
  });
}

function test(shop: Workshop) {
  const jobId = shop.open({});
  return placeOf({
    read: () => ({ observations: listObservations(shop.db, jobId), skipped: listSkipped(shop.db, jobId) }),
    change: testBoard,
    press: (_, { number, one, some }) => {
      const phase = one(["before", "after"] as const);
      const testId = one(testIds);
      const kind = number();
      if (kind < 0.2) return ["skip-test", { jobId, phase, testId, reason: one(["", "no time", " no line on it "]) }];
      if (kind < 0.3) return ["tests-all-good", { jobId, phase, testIds: some(testIds, 4) }];
      const { unit, takesLineRadius } = testSpec(testId);
      const typed = number() < 0.5;
      return [
        "test",
        {
          ...{ jobId, phase, testId, verdict: one(verdicts) },
          value: typed && unit ? Math.round(number() * 50) : null,
          lineRadiusMm: takesLineRadius ? 20 : null,
          ...(typed && takesLineRadius ? { setting: 1.5 } : {}),
          instrument: typed ? "typed" : "by hand",
          simulated: false,
          trace: typed && number() < 0.2 ? [{ tMs: 0, value: 1 }] : null,
        },
      ];
    },
    shows: ({ observations, skipped }) => ({
      observations: observations
        .map(({ id: _, at: __, ...said }) => said)
        .sort((a, b) => `${a.phase} ${a.testId}`.localeCompare(`${b.phase} ${b.testId}`)),
      skipped: [...skipped].sort((a, b) => `${a.phase} ${a.testId}`.localeCompare(`${b.phase} ${b.testId}`)),
    }),
  });
}

/** A reel all in its tray. */
function takenApart(shop: Workshop): number {
  const jobId = shop.open({ kind: "service", depth: "full" });
  takeAllAsCame(shop.ctx, jobId);
  return jobId;
}

/** Build: what goes in next as the page offers it, any step by itself, with and without a reason; checks that fail, steps left for later, undo. */
function build(shop: Workshop) {
  const jobId = takenApart(shop);
  const version = machineOf(shop.db, job(shop, jobId));
  const read = () => getBuild(shop.db, job(shop, jobId), version).steps;
  const { batches } = getBuild(shop.db, job(shop, jobId), version);
  return placeOf({
    read,
    change: buildBoard(),
    press: (steps, { number, one, some }) => {
      const ids = steps.map(({ operation }) => operation.id);
      const gates = steps.filter(({ operation }) => operation.kind === "gate").map(({ operation }) => operation.id);
      const done = steps.filter(({ state }) => state !== "waiting").map(({ operation }) => operation.id);
      const kind = number();
      if (kind < 0.1) return ["gate-failed", { jobId, operationId: one(number() < 0.8 && gates.length ? gates : ids), note: "" }];
      if (kind < 0.2) return ["step-skipped", { jobId, operationId: one(ids) }];
      if (kind < 0.3) return ["step-undone", { jobId, operationId: one(done.length && number() < 0.9 ? done : ids) }];
      const withWell = steps.map((step) => ({ ...step, lubricant: null }));
      const next =
        number() < 0.8
          ? nextBuildAct(withWell, batches, version.partTypes, null)
          : buildActFrom(withWell, batches, version.partTypes, one(ids));
      const operationIds = next && number() < 0.85 ? next.operationIds : some(ids, 3);
      return ["steps-done", { jobId, operationIds, ...(number() < 0.5 ? { reason: "the customer wants it so" } : {}) }];
    },
    shows: (steps) => steps.map(({ operation, state, act }) => ({ id: operation.id, state, act })),
  });
}

function oil(shop: Workshop) {
  const jobId = shop.open({ kind: "service", depth: "quick" });
  const read = (): readonly JobOilPoint[] => listOilPoints(shop.db, job(shop, jobId));
  return placeOf({
    read,
    change: oilBoard(),
    press: (points, { number, one, some }) => {
      const ids = points.map(({ positionId }) => positionId);
      const positionIds = number() < 0.1 ? ["no-such-seat"] : some(ids, ids.length);
      return [
        "oil-points",
        { jobId, positionIds, state: one(["waiting", "oiled", "oiled", "left-out"] as const), why: one([null, "moist"] as const) },
      ];
    },
    shows: (points) => points.map(({ positionId, state }) => `${positionId} ${state}`),
  });
}

function lot(shop: Workshop) {
  const jobIds = [shop.open({}), shop.open({}), shop.open({})];
  const read = (): readonly LotAnswers[] => {
    const [answers, settled] = [verdictsBefore(shop.db, jobIds), settledOf(shop.db, jobIds)];
    return jobIds.map((jobId) => ({
      ...{ jobId, verdicts: answers.get(jobId) ?? {}, settled: Object.fromEntries(settled.get(jobId) ?? []) },
    }));
  };
  return placeOf({
    read,
    change: lotBoard(),
    press: (_, { number, one }) => {
      const jobId = one(jobIds);
      if (number() < 0.4)
        return ["settle-fault", { jobId, faultId: one(["drag-worn", "no-such-fault"]), proved: one([true, false, null]) }];
      const [phase, testId] = ["before", one(testIds)];
      return [
        "test",
        {
          ...{ jobId, phase, testId, verdict: one(verdicts), value: null },
          lineRadiusMm: null,
          instrument: "by hand",
          simulated: false,
          trace: null,
        },
      ];
    },
    shows: (reels) => reels,
  });
}

function walk(shop: Workshop) {
  const read = (): readonly CountedBin[] => listStock(shop.db).map(({ partTypeId, count }) => ({ type: { id: partTypeId }, count }));
  return placeOf({
    read,
    change: walkBoard(),
    press: (bins, { number, one }) => {
      const { type, count } = one(bins);
      const partTypeId = number() < 0.05 ? "no-such-part" : type.id;
      return ["count-bin", { partTypeId, count: number() < 0.5 ? count : Math.floor(number() * 6), why: one([null, "lost"]) }];
    },
    shows: (bins) => [...bins].sort((a, b) => a.type.id.localeCompare(b.type.id)),
  });
}

const places: Readonly<Record<string, (shop: Workshop) => Place<unknown>>> = {
  "Strip by a drawing": strip,
  "Strip without a drawing": loose,
  "Test and Prove": test,
  Build: build,
  "the oil points": oil,
  "a lot": lot,
  "the counting walk": walk,
};

describe.each(Object.keys(places))("at %s", (name) => {
  it("a page shows at once what the bench keeps, after rows of chance presses, lost answers and refusals", async () => {
    const shop = openWorkshop();
    const place = places[name]!(shop);
    const chance = chanceOf(name.length);
    const page = openPage(shop, place, chance);
    for (let row = 0; row < 60; row++) {
      const presses = 1 + Math.floor(chance.number() * 4);
      for (let n = 0; n < presses; n++) page.press(`row ${row}`);
      await page.idle();
      expect(place.shows(page.shown()), `row ${row}`).toEqual(place.shows(place.read()));
      if (chance.number() < 0.3) page.refresh();
    }
    // Some are refused, most are not: else it tries nothing.
    expect(page.refusals()).toBeLessThan(page.pressed() / 2);
  });

  it("two windows never disagree with the bench once they are shown anew, whoever pressed what in between", async () => {
    const shop = openWorkshop();
    const place = places[name]!(shop);
    const chance = chanceOf(name.length + 100);
    const pages = [openPage(shop, place, chance), openPage(shop, place, chance)] as const;
    for (let row = 0; row < 40; row++) {
      const page = chance.one(pages);
      for (let n = 0; n < 3; n++) page.press(`${pages.indexOf(page)} row ${row}`);
      await page.idle();
      page.refresh();
      expect(place.shows(page.shown()), `row ${row}`).toEqual(place.shows(place.read()));
    }
  });

  it("a press that a state has already changes nothing of what it shows", async () => {
    const shop = openWorkshop();
    const place = places[name]!(shop);
    const chance = chanceOf(name.length + 200);
    for (let n = 0; n < 60; n++) {
      const [act, input] = place.press(place.read(), chance);
      const press = { id: `press ${n} .....`, act, input };
      if (!bench(shop, press).ok) continue;
      const kept = place.read();
      expect(place.shows(place.change(kept, press)), act).toEqual(place.shows(kept));
    }
  });
});

it("an act of another station leaves a state as it is", () => {
  const state = { observations: [], skipped: [] };
  expect(boardOf<typeof state>([])(state, { id: "1", act: "steps-done", input: {} })).toBe(state);
  expect(testBoard(state, { id: "1", act: "steps-done", input: {} })).toBe(state);
});
