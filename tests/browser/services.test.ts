import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { atTheBench, type Person, type Server } from "./bench";
import { buildAll, cleanAll, stripAll, writtenDown } from "./stations";

let server: Server;
let person: Person;
const folder = mkdtempSync(join(tmpdir(), "zorbek-services-"));
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** @returns the tag of a reel of a known customer, taken in at the counter. */
async function takenIn(serial: string, kind: string, depth: string, complaint: string): Promise<string> {
  await person.go("/counter");
  await person.type("Customer", "Jory Tamsin");
  await person.type("Model", "Marrowby Skerry 30");
  await person.type("Serial", serial);
  await person.type("Job", kind);
  if (depth) await person.type("Level of service", depth);
  if (complaint) await person.press(complaint);
  await person.type("Spending limit", "300");
  await person.press("Check in");
  await person.sees("Checked in as");
  return /Z-\d{5}-\d/.exec(await person.read())![0];
}

/** All tests of this station good by one key. */
async function allGood(next: string): Promise<void> {
  await person.sees("good");
  await person.key("a");
  await person.driver.wait(
    async () => (await person.mainKey()).startsWith("On to") || (await person.driver.getCurrentUrl()).endsWith(next),
    15_000,
  );
  await writtenDown(person);
}

/** From the tray to the report, nothing unusual. @returns the report's text, read by poppler's pdftotext. */
async function done(tag: string): Promise<string> {
  await person.go(`/bench/${tag}/strip`);
  await stripAll(person);
  await person.go(`/bench/${tag}/clean`);
  await cleanAll(person);
  await person.go(`/bench/${tag}/build`);
  await buildAll(person);
  await person.go(`/bench/${tag}/prove`);
  await allGood("return");
  await person.go(`/bench/${tag}/return`);
  await person.press("Tested: ready to collect");
  await person.press("Return it");
  await person.sees("Returned");
  const file = join(folder, `${tag}.pdf`);
  writeFileSync(file, Buffer.from(await (await fetch(`${server.base}/bench/${tag}/report.pdf`)).arrayBuffer()));
  return execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" }).replace(/\s+/g, " ");
}

describe("from the counter to the report", () => {
  it("a quick service: opened where it turns and no further", async () => {
    const tag = await takenIn("MS30 71001", "service", "quick service", "");
    await person.go(`/bench/${tag}/test`);
    await allGood("strip");
    const text = await done(tag);
    for (const words of ["Quick service", "Taken apart: handle and star; spool.", "Not opened:", "No fault found", "Before and after"])
      expect(text).toContain(words);
    expect(text).not.toMatch(/Taken apart[^.]*gear and drag stack/);
  });

  it("a full service: all of it, each assembly named", async () => {
    const tag = await takenIn("MS30 71002", "service", "full service", "");
    await person.go(`/bench/${tag}/test`);
    await allGood("strip");
    const text = await done(tag);
    for (const words of ["Full service", "spool; tail plate and click", "gear and drag stack.", "Checks passed", "Light oil, 6 drops"])
      expect(text).toContain(words);
  });

  it("one assembly: what the complaint is about, and the report answers it", async () => {
    const tag = await takenIn("MS30 71003", "service", "only what the fault", "drag weak");
    await person.go(`/bench/${tag}/test`);
    await allGood("strip");
    const text = await done(tag);
    // As much of each as the complaint reaches: the gear stays under its stack.
    for (const words of ["Gear and drag stack, opened in part for the complaint: eared washer", "One assembly opened", "“drag weak”"])
      expect(text).toContain(words);
    expect(text).toMatch(/Not opened: [^.]*tail plate/);
  });

  it("an upgrade: better pieces foreseen, fitted and named with their origin", async () => {
    const tag = await takenIn("MS30 71004", "upgrade", "", "");
    await person.go(`/bench/${tag}/test`);
    await allGood("strip");
    await person.go(`/bench/${tag}/quote`);
    await person.sees("Upgrades that fit");
    await person.press("Add Spool bearing, head: a better bearing of 5 × 11 × 5 shielded (ceramic: louder, needs no oil)");
    await person.sees("for Spool bearing, head");
    await person.go(`/bench/${tag}/strip`);
    await stripAll(person);
    await person.go(`/bench/${tag}/clean`);
    await cleanAll(person);
    await person.go(`/bench/${tag}/parts`);
    await person.press("A piece from elsewhere");
    await person.type("It comes from", "bought over the counter");
    await person.type("Material", "stainless, ceramic balls");
    await person.type("before tax", "18.50");
    await person.press("Fit this piece");
    await person.sees("Undo: return it to the bin");
    const text = await done(tag);
    for (const words of ["came for: upgrade", "ceramic balls", "bought for it"]) expect(text).toContain(words);
    expect(text).toContain("Spool, opened in part for a new part: spool bearing (head), spool off.");
    expect(text).toMatch(/Not opened: [^.]*gear and drag stack/);
  });
});
