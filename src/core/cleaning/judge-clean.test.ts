import { expect, it } from "vitest";
import { judgeClean } from "./judge-clean";

const of = (kind: Parameters<typeof judgeClean>[0]["shape"]["kind"]) => ({ shape: { kind } });

it("minds pits only where a part works on that surface, a stain nowhere, and what stays dirty everywhere", () => {
  for (const kind of ["bearing", "gear", "friction-washer", "o-ring"] as const) expect(judgeClean(of(kind), "pitted"), kind).not.toBeNull();
  for (const kind of ["frame", "plate", "foot", "handle"] as const) expect(judgeClean(of(kind), "pitted"), kind).toBeNull();
  for (const kind of ["bearing", "frame"] as const) {
    expect(judgeClean(of(kind), "stained"), kind).toBeNull();
    expect(judgeClean(of(kind), "not-clean"), kind).toMatch(/again/);
  }
});
