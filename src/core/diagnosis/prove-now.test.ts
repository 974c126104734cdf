import { expect, test } from "vitest";
import type { Observation } from "./case-net";
import { diagnose } from "./diagnose";
import type { FindingId } from "./finding-table";
import { commonKnowledge } from "./knowledge";
import { proveNow } from "./prove-now";

const roles = new Set(["roller-clutch", "clutch-sleeve", "main-gear", "pinion", "spool", "handle", "rotor"]);
const after = (looks: readonly (readonly [FindingId, boolean])[]) => {
  const observations: Observation[] = [
    { by: "told", finding: "slips-back" },
    { by: "test", finding: "slips-back", verdict: "bad" },
    ...looks.map(([finding, so]): Observation => ({ by: "look", finding, so })),
  ];
  return proveNow(diagnose({ roles, use: [], observations }, false), commonKnowledge, new Map(looks))?.id ?? null;
};

test("a complaint and a bad test prove nothing by themselves", () => expect(after([])).toBeNull());

test("grease seen between the needles is the fault itself: only the word is missing", () =>
  expect(after([["clutch-greasy", true]])).toBe("clutch-greased"));

test("what was looked for and not seen proves nothing", () => {
  expect(after([["clutch-greasy", false]])).toBeNull();
  // Pits under clean needles are the other fault.
  expect(
    after([
      ["clutch-greasy", false],
      ["sleeve-pitted", true],
    ]),
  ).toBe("clutch-sleeve-pitted");
});

test("what is settled is not asked again", () => {
  const observations: Observation[] = [{ by: "look", finding: "clutch-greasy", so: true }];
  const settled = new Map([["clutch-greased", true]]);
  expect(
    proveNow(diagnose({ roles, use: [], observations, settled }, false), commonKnowledge, new Map([["clutch-greasy", true]])),
  ).toBeNull();
});

test("what a person has said stands without reasons for or against it", () => {
  const settled = new Map([["clutch-greased", true]]);
  const { settled: done } = diagnose({ roles, use: [], observations: [{ by: "told", finding: "slips-back" }], settled });
  expect(done.map(({ fault, reasons }) => [fault.id, reasons])).toEqual([["clutch-greased", []]]);
});
