import { describe, expect, it } from "vitest";
import { calledFor } from "./call-for";

const parts = [
  { name: "1234 Main gear", seat: "Main gear" },
  { name: "88 Ball bearing 5×11×4", seat: "Spool bearing, tail side" },
  { name: "61 Handle, power", seat: "Handle" },
];

describe("parts a customer wants to be called for", () => {
  const cases: [string, string[]][] = [
    ["handle", ["61 Handle, power"]],
    ["a new handle, or the main gear", ["1234 Main gear", "61 Handle, power"]],
    ["bearings", ["88 Ball bearing 5×11×4"]],
    ["spool bearings; handle", ["88 Ball bearing 5×11×4", "61 Handle, power"]],
    ["gears", ["1234 Main gear"]],
    ["spool", ["88 Ball bearing 5×11×4"]],
    ["drag", []],
    // Every word of a wish has to be said of the part, not one of them.
    ["drag handle", []],
    ["any  new handle", ["61 Handle, power"]],
    ["a\na", []],
    // Names of one sign are none, short words keep their s, and a part whose name ends in one is found by it.
    ["88 x", []],
    ["", []],
    ["the", []],
  ];
  for (const [words, named] of cases) it(`"${words}"`, () => expect(calledFor(words, parts)).toEqual(named));
});
