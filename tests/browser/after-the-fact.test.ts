import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { atTheBench, type Person, type Server } from "./bench";

let server: Server;
let person: Person;
const folder = mkdtempSync(join(tmpdir(), "zorbek-after-"));
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const text = async (path: string): Promise<string> => {
  const file = join(folder, "read.pdf");
  writeFileSync(file, Buffer.from(await (await fetch(`${server.base}${path}`)).arrayBuffer()));
  return execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" }).replace(/\s+/g, " ");
};
const takenIn = async (serial: string): Promise<string> => {
  await person.go("/counter");
  await person.type("Customer", "Jory Tamsin");
  await person.type("Model", "Marrowby Skerry 30");
  await person.type("Serial", serial);
  await person.type("Job", "repair");
  await person.press("drag weak");
  await person.press("Check in");
  await person.sees("Checked in as");
  return /Z-\d{5}-\d/.exec(await person.read())![0];
};
const until = (sql: string, value: unknown, ...of: unknown[]) =>
  person.driver.wait(async () => server.value(sql, ...(of as string[])) === value, 10_000);

describe("what was taken in wrongly", () => {
  let tag = "";

  it("is repaired: serial, complaint, accessories, limit; its receipt says so", async () => {
    tag = await takenIn("MS30 80001");
    await person.go(`/bench/${tag}/test`);
    await person.press("Correct the intake, or reprint the tag");
    await person.sees("What it came for");
    await person.type("Serial, as stamped", "MS30 80002");
    await person.press("drag jerks");
    await person.press("box");
    await person.type("Spending limit", "55");
    await person.press("Save the correction");
    await until("SELECT limit_minor FROM job WHERE tag = ?", 5500, tag);
    expect(server.value("SELECT serial FROM reel JOIN job ON job.reel_id = reel.id WHERE tag = ?", tag)).toBe("MS3080002");
    const receipt = await text(`/bench/${tag}/receipt.pdf`);
    for (const words of ["MS3080002", "drag jerks", "box", "55.00 EUR", "Agreed: ____", "storage costs 2.00 EUR a week"])
      expect(receipt, words).toContain(words);
  });

  it("is cancelled, asked twice, and then stays as it was", async () => {
    await person.go(`/bench/${tag}/intake`);
    await person.press("Checked in by mistake: cancel this intake");
    await person.press("Cancel this intake for good");
    await until("SELECT station FROM job WHERE tag = ?", "closed", tag);
    await person.go(`/bench/${tag}/intake`);
    await person.sees("This reel was returned; its intake can no longer be changed.");
  });
});

describe("a reel that goes as it is", () => {
  let tag = "";

  it("asks for a fault that nothing put right, and for a test that is bad, each answered by one press on the page", async () => {
    tag = await takenIn("MS30 80010");
    await person.go(`/bench/${tag}/test`);
    for (let i = 1; i <= 7; i++) {
      await person.key(i === 7 ? "x" : " ");
      await until("SELECT count(*) FROM observation JOIN job ON job.id = job_id WHERE tag = ?", i, tag);
      await person.settled();
    }
    await person.go(`/bench/${tag}/return`);
    await person.sees("Click is still bad.");
    expect(await person.mainKey()).toContain("Answer first: click");
    await person.press("Click goes as it is: the owner knows and accepts it");
    await person.sees("Returned as it is: Click is bad.");
    await person.press("Ready to collect");
    await person.press("Return it");
    await person.sees("Returned");
    expect(await text(`/bench/${tag}/report.pdf`)).toContain("Click is bad: the owner knows and accepts it.");
  });

  it("returned by mistake, is taken back the same day, and its report is not the last word", async () => {
    await person.press("Returned by mistake today? Undo the return");
    await person.press("Undo the return (credits its invoice)");
    await until("SELECT station FROM job WHERE tag = ?", "return", tag);
    expect(server.value("SELECT count(*) FROM kept_report JOIN job ON job.id = job_id WHERE tag = ?", tag)).toBe(0);
    await person.sees("Return it");
    await person.type("Paid", "cash");
    await person.press("Return it");
    await person.sees("Returned");
  });
});

describe("the takings of a day", () => {
  it("are listed by invoice, summed, closed, and printed", async () => {
    await person.go("/ledger/takings");
    await person.sees("Jory Tamsin");
    await person.press("Close today");
    await person.sees("As it was closed");
    await person.sees("by Ilse Varn");
    const day = server.value<string>("SELECT day FROM takings");
    const sheet = await text(`/ledger/takings/sheet.pdf?day=${day}`);
    for (const words of ["Takings, ", "Jory Tamsin, cash", "Closed "]) expect(sheet, words).toContain(words);
  });
});
