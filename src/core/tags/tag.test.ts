import { describe, expect, it } from "vitest";
import { formatTag, looksLikeTag, parseTag } from "./tag";

/** Damm's quasigroup table (Damm 2004, rows 0-9), written out here so that the package is checked against the publication. */
const dammTable = "0317598642 7092154863 4206871359 1750983426 6123045978 3674209581 5869720134 8945362017 9438617205 2581436790".split(
  " ",
);
const dammDigit = (body: string) => [...body].reduce((interim, digit) => Number(dammTable[interim]![Number(digit)]), 0);

describe("claim tags", () => {
  it("carries Damm's own example: 572 has check digit 4", () => {
    expect(dammDigit("572")).toBe(4);
    expect(formatTag(572)).toBe("Z-00572-4"); // leading zeros leave a Damm digit unchanged
  });

  it("agrees with the published table over every number", () => {
    for (let n = 1; n <= 99_999; n += 7) {
      const body = String(n).padStart(5, "0");
      expect(formatTag(n)).toBe(`Z-${body}-${dammDigit(body)}`);
    }
  });

  it("catches every single wrong digit and every neighbour swap of a tag", () => {
    for (const n of [1, 1234, 40404, 98765]) {
      const digits = formatTag(n).replace(/\D/g, "");
      for (let i = 0; i < 6; i++) {
        for (let d = 0; d < 10; d++) {
          const wrong = digits.slice(0, i) + d + digits.slice(i + 1);
          expect(parseTag(`Z-${wrong.slice(0, 5)}-${wrong[5]}`).ok, wrong).toBe(wrong === digits);
        }
        const swapped = i < 5 ? digits.slice(0, i) + digits[i + 1] + digits[i] + digits.slice(i + 2) : digits;
        expect(parseTag(swapped).ok, swapped).toBe(swapped === digits);
      }
    }
  });

  it("forgives how it is typed, and says what is wrong when it is not a tag", () => {
    expect(parseTag(" z 00572 4 ")).toEqual({ ok: true, value: { tag: "Z-00572-4", number: 572 } });
    expect(parseTag("005724").ok).toBe(true);
    expect(parseTag("Z-00572-5")).toMatchObject({ ok: false, code: "check-digit" });
    expect(parseTag("hello")).toMatchObject({ ok: false, code: "not-a-tag" });
    expect(looksLikeTag("Z-0057")).toBe(true);
    expect(looksLikeTag("Zander")).toBe(false);
  });

  it("refuses numbers that do not fit five digits", () => {
    for (const n of [0, -1, 1.5, 100_000]) expect(() => formatTag(n)).toThrow(RangeError);
  });
});
