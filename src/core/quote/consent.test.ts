import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { consentFor, mayGoOn, waitsForAnswer } from "./consent";

describe("consent", () => {
  const yes = (totalMinor: number) => ({ accepted: true, totalMinor });
  const no = (totalMinor: number) => ({ accepted: false, totalMinor });
  it.each([
    ["at the limit goes on", 9000, 9000, [], "within-limit"],
    ["a cent above asks", 9001, 9000, [], "ask"],
    ["no limit asks always", 1, null, [], "ask"],
    ["a yes covers its sum", 9001, 9000, [yes(9001)], "agreed"],
    ["a yes does not cover more", 9002, 9000, [yes(9001)], "ask"],
    ["a no stops it, also within the limit", 8000, 9000, [no(8000)], "refused"],
    ["a smaller sum after a no is asked or within the limit again", 7000, 9000, [no(8000)], "within-limit"],
    ["a later yes mends a no", 9500, 9000, [no(9500), yes(9500)], "agreed"],
  ] as const)("%s", (_, total, limit, answers, expected) => {
    expect(consentFor(total, limit, answers)).toBe(expected);
  });
});

const money = fc.integer({ min: 0, max: 100_000 });
const answers = fc.array(fc.record({ accepted: fc.boolean(), totalMinor: money }), { maxLength: 4 });

describe("whether the work may go on", () => {
  it("never goes on above the limit without a yes to at least that sum, whatever else was wished for", () => {
    fc.assert(
      fc.property(money, fc.option(money), answers, fc.boolean(), (total, limit, said, call) => {
        const covered = (limit !== null && total <= limit) || said.some((one) => one.accepted && one.totalMinor >= total);
        if (mayGoOn(consentFor(total, limit, said, call))) expect(covered).toBe(true);
      }),
    );
  });

  it("is never made easier by a wish to be called", () => {
    fc.assert(
      fc.property(money, fc.option(money), answers, (total, limit, said) => {
        if (!mayGoOn(consentFor(total, limit, said, false))) expect(mayGoOn(consentFor(total, limit, said, true))).toBe(false);
      }),
    );
  });

  it("asks for the sum before it asks for the call: 572 with a limit of 200", () => {
    expect(consentFor(57_200, 20_000, [], true)).toBe("ask");
    // A limit for parts of their own is asked about whatever the whole comes to, and a yes to the whole is one to its parts.
    expect(consentFor(15_000, 20_000, [], false, true)).toBe("ask");
    expect(consentFor(15_000, 20_000, [{ accepted: true, totalMinor: 15_000 }], false, true)).toBe("agreed");
    expect(consentFor(15_000, 20_000, [], true)).toBe("call");
    expect(consentFor(15_000, 20_000, [{ accepted: true, totalMinor: 15_000 }], true)).toBe("within-limit");
  });

  it("waits for the customer only where something is to be said to them", () => {
    expect(waitsForAnswer({ consent: "ask", faults: 0 })).toBe(false);
    expect(waitsForAnswer({ consent: "ask", faults: 1 })).toBe(true);
    expect(waitsForAnswer({ consent: "call", faults: 0 })).toBe(true);
    expect(waitsForAnswer({ consent: "refused", faults: 2 })).toBe(false);
    expect(waitsForAnswer({ consent: "agreed", faults: 2 })).toBe(false);
  });
});
