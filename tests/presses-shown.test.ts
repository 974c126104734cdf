import { expect, it } from "vitest";
import { expectedPieces } from "@/core/families/expected-pieces";
import { families } from "@/core/families/families";
import { type AnswerInput, answerSchema } from "@/core/proving/answer-input";
import { testSpec } from "@/core/proving/protocol";
import { testIds, verdicts } from "@/core/vocabulary/tests";
import { addUnknownModel, listLooseParts, putLooseBack, takeLoosePart } from "@/data/bench/loose-parts";
import { settledOf, settleFault } from "@/data/diagnosis/diagnosis";
import { listObservations, listSkipped, recordAllGood, recordObservation, skipTest, verdictsBefore } from "@/data/diagnosis/observations";
import { lotPress } from "@/ui/bench/lot/lot-board";
import { type LoosePart, loosePress } from "@/ui/bench/strip/loose-board";
import { type Answers, testPress } from "@/ui/bench/test/test-board";
import { stream } from "./random-stream";
import { openWorkshop } from "./workshop";

const sorted = ({ observations, skipped }: Answers) => ({
  observations: observations
    .map(({ id: _, at: __, ...said }) => said)
    .sort((a, b) => `${a.phase} ${a.testId}`.localeCompare(`${b.phase} ${b.testId}`)),
  skipped: [...skipped].sort((a, b) => `${a.phase} ${a.testId}`.localeCompare(`${b.phase} ${b.testId}`)),
});

it("shows at once, after any row of presses at Test and Prove, what the bench keeps of them", () => {
  const shop = openWorkshop();
  const jobId = shop.open({});
  const random = stream(14);
  const one = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]!;
  let shown: Answers = { observations: [], skipped: [] };
  for (let n = 0; n < 150; n++) {
    const phase = one(["before", "after"] as const);
    const testId = one(testIds);
    const kind = random();
    const press = (act: string, input: object) => ({ id: String(n), act, input: { jobId, ...input }, words: "", about: "" });
    if (kind < 0.6) {
      const read = random() < 0.5;
      const input: AnswerInput = answerSchema.parse({
        phase,
        testId,
        verdict: one(verdicts),
        value: read && testSpec(testId).unit ? Math.round(random() * 50) : null,
        lineRadiusMm: testSpec(testId).takesLineRadius ? 20 : null,
        setting: read && testSpec(testId).takesLineRadius ? 1.5 : null,
        instrument: read ? "typed" : "by hand",
        simulated: false,
        trace: read && random() < 0.2 ? [{ tMs: 0, value: 1 }] : null,
      });
      recordObservation(shop.ctx, { jobId, ...input });
      shown = testPress(shown, press("test", input));
    } else if (kind < 0.9) {
      const input = { phase, testId, reason: one(["", "no time"]) };
      skipTest(shop.ctx, { jobId, ...input });
      shown = testPress(shown, press("skip-test", input));
    } else {
      const input = { phase, testIds: [testId, one(testIds)] };
      recordAllGood(shop.ctx, { jobId, ...input });
      shown = testPress(shown, press("tests-all-good", input));
    }
    const kept = { observations: listObservations(shop.db, jobId), skipped: listSkipped(shop.db, jobId) };
    expect(sorted(shown)).toEqual(sorted(kept));
  }
});

it("leaves the answers as they are for a press of another station", () => {
  const none: Answers = { observations: [], skipped: [] };
  expect(testPress(none, { id: "1", act: "steps-done", input: {}, words: "", about: "" })).toBe(none);
});

it("shows at once what a press across a lot says of its reel, and of no other", () => {
  const shop = openWorkshop();
  const [one, two] = [shop.open({}), shop.open({})];
  const reel = (jobId: number) => ({ jobId, verdicts: {}, settled: {} });
  const press = (act: string, input: object) => ({ id: act, act, input, words: "", about: "" });
  const answer = { phase: "before", testId: "click", verdict: "bad", value: null, lineRadiusMm: null } as const;
  recordObservation(shop.ctx, { jobId: one, ...answer, instrument: "by hand", simulated: false, trace: null });
  settleFault(shop.ctx, two, "drag-worn", false);
  const shown = [
    press("test", { jobId: one, ...answer }),
    press("settle-fault", { jobId: two, faultId: "drag-worn", proved: false }),
  ].reduce(lotPress<ReturnType<typeof reel>>, [reel(one), reel(two)]);
  const [verdicts, settled] = [verdictsBefore(shop.db, [one, two]), settledOf(shop.db, [one, two])];
  for (const { jobId, ...known } of shown)
    expect(known).toEqual({ verdicts: verdicts.get(jobId) ?? {}, settled: Object.fromEntries(settled.get(jobId)!) });
});

it("shows at once, after any row of presses on a tray without a drawing, what the bench has in its wells", () => {
  const shop = openWorkshop();
  const modelId = addUnknownModel(shop.ctx, { maker: "Oddwater", name: "Nameless", family: "star-drag-bridge" });
  const jobId = shop.open({ modelId });
  const pieces = expectedPieces(families["star-drag-bridge"]);
  const apply = loosePress(pieces);
  const random = stream(15);
  const one = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]!;
  const kept = () => listLooseParts(shop.db, jobId);
  let shown: readonly LoosePart[] = [];
  for (let n = 0; n < 80; n++) {
    const well = shown.at(-1)?.well ?? 0;
    const press = (act: string, input: object) => ({ id: String(n), act, input: { jobId, ...input }, words: "", about: "" });
    if (well && random() < 0.3) {
      putLooseBack(shop.ctx, jobId);
      const undo = press("loose-put-back", { well });
      shown = apply(shown, undo);
      // The page has it already: the same press again changes nothing.
      if ((shown.at(-1)?.well ?? 0) !== well) expect(apply(shown, undo)).toBe(shown);
    } else {
      const piece = random() < 0.7 ? one(pieces) : null;
      const input = {
        kind: piece?.kind ?? "washer",
        pieceId: piece?.id ?? null,
        count: one([null, null, 2, 3]),
        side: one([null, "tail" as const]),
      } as const;
      takeLoosePart(shop.ctx, jobId, input);
      const take = press("loose-take", { ...input, well: well + 1 });
      shown = apply(shown, take);
      expect(apply(shown, take)).toBe(shown);
    }
    expect(shown.map(({ label: _, ...known }) => known)).toEqual(kept());
  }
});
