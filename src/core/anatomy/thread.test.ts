import { expect, it } from "vitest";
import { isLeftHand, threadOf } from "./thread";

it("goes by what was found on this reel, then by the model, and turns right where nobody knows better", () => {
  expect(threadOf(undefined)).toBe("right");
  expect(threadOf({ thread: "left" })).toBe("left");
  expect(threadOf({ thread: "left" }, "right")).toBe("right");
  expect(isLeftHand({}, "left")).toBe(true);
  expect(isLeftHand({ thread: "left" }, null)).toBe(true);
});
