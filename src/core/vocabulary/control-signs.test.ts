import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { controlSignAt } from "./control-signs";

describe("signs nobody can see", () => {
  it("are found wherever they stand, and said by their place", () => {
    expect(controlSignAt({ name: "Ada\u0000" })).toBe("name");
    expect(controlSignAt({ rows: [["fine"], ["a\u001bb"]] })).toBe("rows.1.0");
    expect(controlSignAt("\ud83d")).toBe("");
    expect(controlSignAt({ "a\u0007": 1 })).toBe("");
  });

  it("are not any letters, tabs, line ends and pictures that people write", () => {
    expect(controlSignAt({ a: "Ærø, 猫 🎣 e\u0301\tline\r\nnext", b: 12, c: null, d: [true] })).toBeNull();
    // Unicode's general category Cc and Cs, by the platform's own property tables.
    fc.assert(
      fc.property(fc.string({ unit: "binary" }), (text) => {
        const expected = /[\p{Cc}\p{Cs}\u2028\u2029\uFFFE\uFFFF]/u.test(text.replace(/[\t\n\r]/g, ""));
        expect(controlSignAt(text) !== null).toBe(expected);
      }),
    );
  });
});
