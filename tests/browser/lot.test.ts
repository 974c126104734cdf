import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { atTheBench, type Person, type Server } from "./bench";

let server: Server;
let person: Person;
const folder = mkdtempSync(join(tmpdir(), "zorbek-lot-"));
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** A paste from a spreadsheet into a cell of the grid. */
const paste = async (cell: string, text: string) => {
  const field = await person.field(cell);
  await person.driver.executeScript(
    "const data = new DataTransfer(); data.setData('text/plain', arguments[1]); arguments[0].focus(); arguments[0].dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))",
    field,
    text,
  );
  await person.rest(200);
};

describe("a lot of thirty-four from a hire fleet", () => {
  it("is pasted from a spreadsheet; two bad rows keep all of it out until they are mended where they stand", async () => {
    await person.go("/counter/lot");
    await person.type("Name of the lot", "Lake ferry, autumn");
    await person.type("Customer", "Saltmarsh Charters");
    await person.type("Model", "Marrowby Skerry 30");
    await person.type("Limit per reel", "30");
    const rows = Array.from({ length: 34 }, (_, i) =>
      [i === 7 ? "LF??" : i === 20 ? "LF 1003" : `LF ${1000 + i}`, `boat ${i + 1}`, i % 3 ? "" : "drag weak", ""].join("\t"),
    );
    await paste("Serial, row 1", rows.join("\n"));
    await person.sees("Check in 34 reels");
    await person.press("Check in 34 reels");
    await person.sees("2 cells are wrong; nothing was checked in");
    await person.sees("A serial has letters, digits, dots, dashes and slashes.");
    await person.sees("Same as row 4.");
    expect(server.value("SELECT count(*) FROM lot")).toBe(1);
    await person.type("Serial, row 8", "LF 1007");
    await person.type("Serial, row 21", "LF 1020");
    await person.press("Check in 34 reels");
    await person.sees("Work across the lot");
    expect(server.value("SELECT count(*) FROM job WHERE lot_id = 2")).toBe(34);
  });

  it("is tested across its reels by a press each, the last answer again by one key, a scanned tag taken up", async () => {
    await person.sees("boat 1: good");
    await person.key("x");
    await person.sees("boat 2: good");
    await person.key(" ");
    await person.sees("boat 3: good");
    await person.key("a");
    await person.sees("boat 4: good");
    const verdicts = "SELECT group_concat(verdict) FROM observation JOIN job ON job.id = observation.job_id WHERE job.lot_id = 2";
    await person.driver.wait(() => server.value(verdicts) === "bad,good,good", 10_000);
    const tag = server.value<string>("SELECT tag FROM job WHERE lot_id = 2 AND mark = 'boat 9'");
    await person.scan(tag);
    await person.sees("boat 9: good");
    await person.key("d");
    await person.sees("boat 4: good");
    await person.sees("30 of 34");
  });

  it("takes presses faster than the bench answers them, a reel each", async () => {
    await person.sees("boat 4: good");
    for (const key of [" ", "d", "a", " ", "x", "a"]) {
      await person.driver.actions().sendKeys(key).perform();
      await person.rest(75);
    }
    await person.sees("boat 11: good");
    const said = () =>
      server.list<string>(
        "SELECT job.mark || ' ' || verdict FROM observation JOIN job ON job.id = observation.job_id WHERE job.lot_id = 2 ORDER BY observation.id",
      );
    await person.driver.wait(() => said().length === 10, 10_000);
    expect(said().slice(4)).toEqual(["boat 4 good", "boat 5 doubtful", "boat 6 doubtful", "boat 7 good", "boat 8 bad", "boat 10 bad"]);
    await person.sees("24 of 34");
  });

  it("says what the rest will want after a few are opened, with its interval, and takes one answer for all", async () => {
    await person.type("Work across the lot", "Friction washers worn thin");
    for (const [i, key] of [" ", "a", "x", " "].entries()) {
      await person.sees(`boat ${i + 1}: proved`);
      await person.key(key);
    }
    await person.sees("boat 5: proved");
    await person.sees("Friction washers worn thin: 3 of 4 checked. Of the other 30 expect about");
    await person.sees("3 reels wait for the customer's yes.");
    await person.type("What the customer said", "Yes, all that have it.");
    await person.press("Yes, for all of them");
    await person.sees("No reel is waiting for an answer.");
    expect(server.value("SELECT count(*) FROM answer JOIN job ON job.id = answer.job_id WHERE job.lot_id = 2")).toBe(3);
  });

  it("prints its tags ten to a sheet, each readable", async () => {
    const response = await fetch(`${server.base}/bench/lot/2/labels.pdf`);
    const file = join(folder, "tags.pdf");
    writeFileSync(file, Buffer.from(await response.arrayBuffer()));
    const text = execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" });
    expect(text.split("\f").filter((page) => page.trim())).toHaveLength(4);
    expect(new Set(text.match(/Z-\d{5}-\d/g)).size).toBe(34);
    expect(text).toContain("boat 34");
  });
});
