import { expect, it } from "vitest";
import { openMemoryDatabase } from "@/data/database/database";
import { guessAtLink } from "./guesses";

const at = (seconds: number) => new Date(Date.parse("2026-03-02T09:00:00Z") + seconds * 1000).toISOString();

it("slows two hundred guesses at a customer's link down, by where they come from", () => {
  const db = openMemoryDatabase();
  // A guess a second: those that are told to wait are no guesses.
  let looked = 0;
  for (let second = 0; second < 200; second++) if (guessAtLink(db, "a", at(second)) === 0) looked++;
  expect(looked).toBeLessThan(30);
  expect(guessAtLink(db, "a", at(200))).toBeGreaterThan(0);
  // Another house is not held up, and twenty old letters cost nobody anything.
  for (let n = 0; n < 19; n++) expect(guessAtLink(db, "b", at(200))).toBe(0);
  // A day later it begins anew.
  expect(guessAtLink(db, "a", at(100_000))).toBe(0);
});
