import { describe, expect, it } from "vitest";
import type { Well } from "@/core/teardown/well";
import { afterClean } from "./after-clean";

const well = (change: Partial<Well> = {}) =>
  ({ positionId: "a", verdict: "ok", renewed: false, declined: false, unrepaired: false, toRenew: [], ...change }) as Well;

describe("where the hands go from a clean tray", () => {
  it.each([
    ["everything goes back", [well()], [], "build"],
    ["one is to be replaced", [well({ verdict: "replace" })], [], "parts"],
    ["the new one lies there", [well({ verdict: "replace", renewed: true })], ["a"], "build"],
    ["a fault or a rule asks for a new one", [well({ toRenew: ["gears-worn"] })], [], "parts"],
    ["the quote names one that is not here", [well()], ["a"], "parts"],
    ["it goes back as it came", [well({ verdict: "replace", unrepaired: true })], ["a"], "build"],
    ["the customer said no", [well({ verdict: "replace", declined: true })], [], "build"],
  ] as const)("%s: %s", (_, wells, quoted, to) => expect(afterClean(wells, quoted)).toBe(to));
});
