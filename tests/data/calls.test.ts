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
    expect(JSON.parse(call(["--schema", "estimate"]).stdout)).toMatchObject({
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
    ] as const) {
      const { status, stderr } = call([...args], input);
      expect([status, stderr]).toEqual([2, expect.stringContaining(words)]);
    }
  });
});
