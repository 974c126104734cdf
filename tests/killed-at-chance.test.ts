import { describe, expect, it } from "vitest";
import { chanceOf } from "./any-job/chance";
import { childProgram, killAct, largestActs } from "./faults/kill";

// `npm run faults` gives its own: a seed, and the number of kills of each act.
const seed = Number(process.env.FAULTS_FROM ?? 1);
const points = Number(process.env.FAULTS_KILLS ?? 2);
const jobs = process.env.FAULTS_KILLS ? 60 : 5;

describe("killed at chance in the acts that write most", () => {
  it("each is done or not, never half, and done once when it is sent again", async () => {
    const cases = largestActs(
      Array.from({ length: jobs }, (_, i) => seed + i),
      10,
    );
    expect(cases.length).toBe(10);
    const program = await childProgram();
    const faults: string[] = [];
    try {
      for (const one of cases) {
        const { died, faults: more } = await killAct(program.path, one, points, chanceOf(seed));
        console.info(`${one.press[0]}, ${one.rows} rows: killed ${died} times in ${points}, ${more.length} faults`);
        faults.push(...more);
      }
    } finally {
      program.clear();
    }
    expect(faults.join("\n")).toBe("");
  });
});
