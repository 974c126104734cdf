import { describe, expect, it, vi } from "vitest";
import { faultLines, logFault, undoneWords } from "./log";

describe("what a log holds of an error", () => {
  it("is its kind, its code and where it was, and no word somebody wrote", () => {
    const said: string[] = [];
    const spy = vi.spyOn(console, "error").mockImplementation((line: string) => void said.push(line));
    const error = Object.assign(new TypeError("Ada Quillfeather, 0555 1234\nof the quay"), { code: "SQLITE_CONSTRAINT" });
    const reference = logFault("save-customer", error);
    logFault("save-customer", "Ada Quillfeather");
    spy.mockRestore();
    expect(said.join("\n")).not.toMatch(/Quillfeather|0555|quay/);
    expect(said[0]).toContain(reference);
    expect(faultLines(error)).toMatchObject({ kind: "TypeError", code: "SQLITE_CONSTRAINT" });
    expect(faultLines(error).at[0]).toMatch(/^at .*log\.test\.ts/);
    expect(undoneWords(reference)).toContain(reference);
  });
});
