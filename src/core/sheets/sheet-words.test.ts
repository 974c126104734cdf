import { expect, test } from "vitest";
import type { WordBox } from "./sheet";
import { keptWords, sheetWordsSchema, wordsOf } from "./sheet-words";

const word = (more: Partial<WordBox> = {}): WordBox => ({ text: "Star", x: 10.004, y: 20, w: 30, h: 8, page: 2, ...more });
const sizes = { 2: { width: 595.28, height: 841.89 }, 70: { width: 595, height: 842 } };

test("words come back as they were read, to a hundredth of their unit", () => {
  const kept = keptWords([word(), word({ text: "90°", turned: 90, sure: 0.4 })], sizes)!;
  expect(sheetWordsSchema.parse(JSON.parse(JSON.stringify(kept)))).toEqual(kept);
  expect(wordsOf(kept)).toEqual({
    words: [
      { text: "Star", x: 10, y: 20, w: 30, h: 8, page: 2, turned: 0, sure: 1 },
      { text: "90°", x: 10, y: 20, w: 30, h: 8, page: 2, turned: 90, sure: 0.4 },
    ],
    sizes: { 2: { width: 595.28, height: 841.89 } },
  });
});

test("what stands off every page never keeps a sheet from being kept", () => {
  const astray = [word({ x: -4e6 }), word({ h: Number.POSITIVE_INFINITY }), word({ y: Number.NaN }), word({ page: 70 })];
  const kept = keptWords([word(), ...astray], sizes)!;
  expect(kept.words).toHaveLength(1);
  expect(sheetWordsSchema.safeParse(kept).success).toBe(true);
});

test("more words than anybody would look over are not kept", () => {
  expect(
    keptWords(
      Array.from({ length: 8001 }, () => word()),
      sizes,
    ),
  ).toBeNull();
});
