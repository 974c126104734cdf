import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { atTheBench, type Person, type Server } from "./bench";

let server: Server;
let person: Person;
const folder = mkdtempSync(join(tmpdir(), "zorbek-kinds-"));
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const taken = async (): Promise<string> => {
  await person.sees("Checked in as");
  return /Z-\d{5}-\d/.exec(await person.read())![0];
};
const stationOf = (tag: string) => server.value<string>("SELECT station FROM job WHERE tag = ?", tag);
const known = async (serial: string, kind: string) => {
  await person.go("/counter");
  await person.type("Customer", "Jory Tamsin");
  await person.type("Model", "Marrowby Skerry 30");
  await person.type("Serial", serial);
  await person.type("Job", kind);
};

describe("a purchase check", () => {
  let tag = "";

  it("asks for what the seller says, and has three stations", async () => {
    await known("MS30 61001", "purchase check");
    await person.press("Check in");
    await person.sees("What is to be checked?");
    await person.press("just serviced");
    await person.press("no damage");
    await person.press("Check in");
    tag = await taken();
    await person.go(`/bench/${tag}/test`);
    for (const station of ["Quote", "Strip", "Build"]) expect(await person.seesNot(station), station).toBe(true);
  });

  it("sets each claim beside the evidence and finds one that contradicted by", async () => {
    for (let i = 1; i <= 7; i++) {
      await person.key(i === 2 ? "x" : " "); // all good but the second, turning
      await person.driver.wait(
        () => server.value<number>("SELECT count(*) FROM observation JOIN job ON job.id = job_id WHERE tag = ?", tag) === i,
        10_000,
      );
      await person.rest(500); // until its answer is on the page: a key pressed before that counts for nothing
    }
    await person.sees("On to Find");
    await person.press("On to Find");
    await person.sees("just serviced contradicted by");
    await person.sees("no damage not looked at");
    await person.press("Flange chipped: no");
    await person.sees("no damage nothing contradicts it");
  });

  it("goes home with a report that says what putting it right would cost, and bills the check alone", async () => {
    await person.press("All faults possible in this reel");
    await person.press("Grease hardened in the gear side");
    await person.press("Proved");
    await person.press("1 found: on to Return");
    await person.sees("Repairing what was found");
    await person.press("Checked: ready for collection");
    await person.press("Return it");
    await person.sees("Returned");
    expect(stationOf(tag)).toBe("closed");
    const file = join(folder, "check.pdf");
    writeFileSync(file, Buffer.from(await (await fetch(`${server.base}/bench/${tag}/report.pdf`)).arrayBuffer()));
    const text = execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" }).replace(/\s+/g, " ");
    for (const words of ["Purchase check", "“just serviced”: contradicted by", "Repairing all of it: about", "Test results"])
      expect(text).toContain(words);
    expect(text).not.toContain("Parts fitted");
  });
});

describe("a ten-minute service", () => {
  it("is logged in eight presses, without Strip", async () => {
    await known("MS30 61003", "light service");
    await person.press("Check in");
    const tag = await taken();
    await person.go(`/bench/${tag}/test`);
    expect(await person.seesNot("Strip")).toBe(true);
    let presses = 0;
    const press = async (key: string, then: () => boolean) => {
      await person.key(key);
      presses++;
      await person.driver.wait(then, 10_000);
    };
    const made = () => server.value<number>("SELECT count(*) FROM observation JOIN job ON job.id = job_id WHERE tag = ?", tag);
    for (let i = 1; i <= 6; i++) {
      await press(" ", () => made() === i);
      if (i === 3) await person.driver.wait(async () => (await person.driver.getCurrentUrl()).endsWith("/prove"), 10_000);
      await person.rest(400);
    }
    await person.driver.wait(async () => (await person.driver.getCurrentUrl()).endsWith("/return"), 10_000);
    await person.sees("Proved: ready for collection");
    await press(" ", () => stationOf(tag) === "return");
    await person.sees("Return it");
    await press(" ", () => stationOf(tag) === "closed");
    expect(presses).toBe(8);
  });

  it("stops at a fault and goes the long way from there", async () => {
    await known("MS30 61004", "light service");
    await person.press("Check in");
    const tag = await taken();
    await person.go(`/bench/${tag}/test`);
    await person.key("x");
    await person.sees("There is a fault: this is more than a light service.");
    await person.key("r");
    await person.sees("Strip");
    expect(server.value("SELECT kind FROM job WHERE tag = ?", tag)).toBe("repair");
  });
});

describe("a comeback", () => {
  it("is offered where our own work stands under the serial, and opens on it", async () => {
    await person.go("/counter");
    await person.type("Serial", "MS30 61003");
    await person.type("Trips a year", "20"); // the serial's field is left, and the counter looks it up
    await person.sees("Known reel");
    await person.press("Comeback of our work");
    expect(await person.value("Job")).toBe("comeback");
    await person.press("drag weak");
    await person.press("Check in");
    await person.go(`/bench/${await taken()}/test`);
    await person.sees("Our own work came back.");
    await person.sees("Found: no fault.");
    await person.sees("Left here with: Turning in gear good");
  });

  it("thinks first of what was found and renewed the last time, and does it again free", async () => {
    const tag = server.value<string>("SELECT tag FROM job WHERE kind = 'comeback' ORDER BY id LIMIT 1");
    await person.go(`/bench/${tag}/find`);
    await person.sees("Found: Friction washers worn thin");
    await person.press("Friction washers worn thin");
    await person.press("Proved");
    await person.press("1 found: on to Quote");
    await person.sees("(again, free)");
  });

  it("is refused where nothing of ours stands under the serial, and nothing typed is lost", async () => {
    await known("MS30 61002", "comeback");
    await person.press("drag weak");
    await person.press("Check in");
    await person.sees("We have returned no reel with this serial.");
    expect(await person.value("Serial")).toBe("MS30 61002");
  });
});
