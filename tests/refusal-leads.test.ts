import { readdirSync, readFileSync } from "node:fs";
import { expect, it } from "vitest";
import { leadOf } from "@/core/vocabulary/refusal-leads";

/** Every refusal of data and app: its code, and all that is said of it up to the end of its words. */
const refusals = ["data", "app"].flatMap((floor) =>
  readdirSync(`src/${floor}`, { recursive: true, encoding: "utf8" })
    .filter((file) => /\.ts$/.test(file) && !/\.test\./.test(file))
    .flatMap((file) => [
      ...readFileSync(`src/${floor}/${file}`, "utf8").matchAll(/new Refusal\(\s*"([a-z-]+)",\s*([\s\S]{0,400}?)\)(?=;|,\n)/g),
    ])
    .map(([, code, said]) => ({ code: code!, said: said! })),
);

it("leads somewhere by one press wherever it says that the page should be loaded again", () => {
  expect(refusals.length).toBeGreaterThan(150);
  const asks = refusals.filter(({ said }) => /Reload/.test(said));
  expect(asks.length).toBeGreaterThan(30);
  expect(asks.filter(({ code }) => leadOf(code)?.to !== "show-anew").map(({ code }) => code)).toEqual([]);
});

it("leads nowhere by a code that no refusal has", () => {
  const codes = new Set(refusals.map(({ code }) => code));
  for (const code of ["constructor", "", "limit"]) expect(leadOf(code)).toBeNull();
  for (const known of ["no-seat", "not-in-tray", "in-bath"]) expect(codes.has(known), known).toBe(true);
  expect(leadOf("not-in-tray")).toEqual({ to: "station", station: "strip" });
});
