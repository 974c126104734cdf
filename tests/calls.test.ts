import { spawnSync } from "node:child_process";
import { describe, expect, it } from "vitest";
import { skerry30Anatomy } from "#demo/models/skerry-30";

const call = (args: string[], input?: unknown) =>
  spawnSync("node", ["node_modules/tsx/dist/cli.mjs", "scripts/call.ts", ...args], {
    input: input === undefined ? "" : typeof input === "string" ? input : JSON.stringify(input),
    encoding: "utf8",
  });

describe("core functions from the command line", () => {
  it("answers on JSON and prints a JSON Schema of what it takes", () => {
    const answer = JSON.parse(call(["build-order"], { anatomy: skerry30Anatomy, removed: ["lock-screw", "handle-nut"] }).stdout) as {
      order: string[];
    };
    expect(answer.order).toEqual(["place-handle-nut", "tighten-nut", "gate-handle", "place-lock-screw"]);
    expect(JSON.parse(call(["--schema", "quote"]).stdout)).toMatchObject({
      type: "object",
      required: expect.arrayContaining(["labour", "parts", "rates"]),
    });
  });

  it("refuses what it cannot read, with where and why, and exit code 2", () => {
    for (const [args, input, words] of [
      [["nothing"], {}, "no call named"],
      [["isolate"], "{", "no JSON"],
      [["isolate"], { turning: "awful" }, "turning"],
      [["isolate"], { unknown: "bad" }, "unknown"],
      [["diagnose"], { family: "star-drag-bridge", told: ["stif-in-gear"] }, "Nearest: stiff-in-gear"],
      [["diagnose"], { family: "spinning", tested: { turning: "awful" } }, "turning"],
    ] as const) {
      const { status, stderr } = call([...args], input);
      expect([status, stderr]).toEqual([2, expect.stringContaining(words)]);
    }
  });

  it("diagnoses: ranked faults with reasons, what to look at next, and its vocabulary", () => {
    const answer = JSON.parse(
      call(["diagnose"], { family: "star-drag-bridge", use: ["fleet"], told: ["drag-weak"], tested: { "drag-full": "bad" } }).stdout,
    ) as {
      ranked: { fault: string; probability: number; reasons: { finding: string; bits: number }[] }[];
      next: { finding: string; how: string; minutes: number }[];
      sections: Record<string, number>;
    };
    expect(answer.ranked[0]).toMatchObject({ fault: "drag-worn", reasons: [{ finding: "drag-weak" }] });
    expect(answer.next[0]!.how.length).toBeGreaterThan(5);
    expect(answer.sections.drag).toBeGreaterThan(0.8);
    const words = JSON.parse(call(["--vocabulary"]).stdout) as Record<string, Record<string, string>>;
    expect(words.finding!["drag-weak"]).toContain("weak");
    expect(Object.keys(words.fault!).length).toBeGreaterThanOrEqual(60);
  });
});
