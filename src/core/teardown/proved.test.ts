import { expect, it } from "vitest";
import { stillHold } from "./proved";

it("holds what was answered before the work, and after it what was asked since the last piece went in", () => {
  const answers = [
    { id: 3, phase: "before" },
    { id: 7, phase: "after" },
    { id: 8, phase: "after" },
  ] as const;
  expect(stillHold(answers, 0)).toEqual(answers);
  expect(stillHold(answers, 7).map(({ id }) => id)).toEqual([3, 8]);
  expect(stillHold(answers, 8).map(({ id }) => id)).toEqual([3]);
});
