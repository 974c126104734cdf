import { describe, expect, it } from "vitest";
import { faults } from "@/core/diagnosis/fault-table";
import { protocolOfJob } from "@/core/intake/job-kinds";
import type { Station } from "@/core/vocabulary/job-kinds";
import { listWells } from "@/data/bench/tray";
import { postComes, spaceAt } from "./any-job/by-space";
import { openBench } from "./any-job/job";
import { answered, good } from "./any-job/offered";

/** SPACE_BAR=seed:count tries others than the suite's. */
const [from, count] = (process.env.SPACE_BAR ?? "200000:24").split(":").map(Number) as [number, number];

/** One job by the space bar alone, whatever was proved of it and whatever wants a new piece. @returns what was pressed. */
function bySpace(seed: number): { said: string[]; about: string; end: string } {
  const bench = openBench(seed);
  const { chance, jobId, press, about } = bench;
  const said: string[] = [];
  const seen = new Set<string>();
  let at: Station = "test";
  let looked = false;
  let turned = false;
  let proved = false;
  if (chance.yes(0.7)) {
    const faultId = chance.one(faults).id;
    said.push(`proved ${faultId}: ${press(["settle-fault", { jobId, faultId, proved: true }])?.message ?? "yes"}`);
  }
  for (let presses = 0; presses < 260; presses++) {
    if (bench.job().closedAt) return { said, about, end: "" };
    // Half way a person looks at what lies in the tray.
    if (at === "clean" && !looked) {
      looked = true;
      for (const { positionId } of listWells(bench.shop.db, jobId).slice(0, 6))
        if (chance.yes(0.3)) {
          const verdict = chance.one(["replace", "missing", "watch"] as const);
          press([
            "note-well",
            {
              jobId,
              positionId,
              verdict,
              orientation: "",
              note: "",
              hole: "",
              thread: null,
              foundCount: verdict === "missing" ? 0 : 1,
              at: "clean",
            },
          ]);
        }
    }
    // Now and then its owner does not want it repaired after all, or a test is bad in the end.
    if (at === "build" && !turned) {
      turned = true;
      if (chance.yes(0.12))
        said.push(`unrepaired: ${press(["decline", { jobId, reason: "not worth it to the owner" }])?.message ?? "yes"}`);
    }
    if (at === "prove" && !proved) {
      proved = true;
      const [test] = protocolOfJob(bench.family, bench.job());
      if (test && chance.yes(0.2)) said.push(`bad ${test.id}: ${press(["test", good(jobId, test.id, "bad")])?.message ?? "yes"}`);
    }
    const written = bench.shop.db.prepare("SELECT count(*) FROM journal").pluck().get() as number;
    const here = `${at} ${written}`;
    if (seen.has(here)) return { said, about, end: `goes round at ${at}` };
    seen.add(here);
    const space = spaceAt(at, bench);
    if ("go" in space) {
      said.push(`${at} → ${space.go}`);
      at = space.go;
    } else if ("waits" in space) {
      said.push(`${at}: waits for ${space.waits}`);
      postComes(bench);
      seen.clear();
    } else {
      const [, { operationIds = [] }] = space.press as [string, { operationIds?: string[] }];
      // A check fails once, a step is left for later, a part stays in.
      const other =
        space.press[0] === "steps-done" && operationIds.length === 1 && chance.yes(0.06)
          ? ([chance.one(["gate-failed", "step-skipped"]), { jobId, operationId: operationIds[0]!, note: "" }] as const)
          : space.press[0] === "take-parts" && chance.yes(0.06)
            ? (["leave-in", { jobId, positionIds: (space.press[1] as { positionIds: string[] }).positionIds, stays: true }] as const)
            : null;
      if (other && press(other) === null) {
        said.push(`${at}: ${other[0]}`);
        continue;
      }
      const refusal = press(space.press);
      said.push(`${at}: ${space.press[0]}${refusal ? ` REFUSED ${refusal.code}: ${refusal.message}` : ""}`);
      // The page asks why beside the step, from a list.
      if (refusal?.code === "buries" && answered(space.press, refusal.code, bench).some((one) => press(one) === null)) continue;
      if (refusal) {
        const lead = refusal.way;
        if (lead?.to === "ask-for") {
          press(["foresee", { jobId, positionId: lead.positionId, wanted: true }]);
          at = "quote";
          continue;
        }
        if (lead?.to !== "station") return { said, about, end: `refused at ${at}: ${refusal.code}` };
        at = lead.station as Station;
      }
    }
  }
  return { said, about, end: "260 presses" };
}

describe("the space bar alone", () => {
  it.each(Array.from({ length: count }, (_, i) => from + i))(
    "leads job %i home, whatever was proved of it and wants a new piece",
    (seed) => {
      const { said, about, end } = bySpace(seed);
      expect(end, `${about}\n${said.join("\n")}`).toBe("");
    },
  );
});
