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
    await person.sees("What should be checked?");
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
      await person.settled(); // its answer is on the page: a key pressed before that counts for nothing
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
    await person.sees("Check only");
    await person.press("Checked: ready to collect");
    await person.press("Return it");
    await person.sees("Returned");
    expect(stationOf(tag)).toBe("closed");
    const file = join(folder, "check.pdf");
    writeFileSync(file, Buffer.from(await (await fetch(`${server.base}/bench/${tag}/report.pdf`)).arrayBuffer()));
    const text = execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" }).replace(/\s+/g, " ");
    for (const words of ["Purchase check", "“just serviced”: contradicted by", "Full repair: about", "Test results"])
      expect(text).toContain(words);
    expect(text).not.toContain("Parts fitted");
  });
});

describe("an outside service", () => {
  const outside = async (serial: string) => {
    await known(serial, "service");
    await person.type("Level of service", "outside service");
    await person.press("Check in");
    const tag = await taken();
    await person.go(`/bench/${tag}/test`);
    return tag;
  };

  it("takes at most eight presses from first to last, without Strip, and its oil points stand in the report", async () => {
    const tag = await outside("MS30 61003");
    expect(await person.seesNot("Strip")).toBe(true);
    let presses = 0;
    const press = async (key: string) => {
      await person.key(key);
      presses++;
    };
    const at = (station: string) => person.driver.wait(async () => (await person.driver.getCurrentUrl()).endsWith(`/${station}`), 10_000);
    await person.sees("All 3 good");
    await press("a");
    await at("build");
    await person.sees("where the knob turns, a drop each side");
    await person.sees("under the side adjuster cap");
    await person.sees("All 2 points oiled");
    await press(" ");
    await at("prove");
    await person.sees("All 3 good");
    await press("a");
    await at("return");
    await person.sees("Tested: ready to collect");
    await press(" ");
    await person.sees("Return it");
    await press(" ");
    await person.sees("Returned");
    expect(presses).toBeLessThanOrEqual(8);
    expect(stationOf(tag)).toBe("closed");
    const points = "SELECT group_concat(position_id) FROM oil_point JOIN job ON job.id = job_id WHERE tag = ?";
    expect(server.value<string>(points, tag).split(",").sort()).toEqual(["knob", "tail-bearing"]);
  });

  it("stops at a fault and goes the long way from there", async () => {
    const tag = await outside("MS30 61004");
    await person.key("x");
    await person.sees("This reel has a fault");
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
    await person.sees("Who pays? Decide before anything is opened.");
    await person.type("Who pays", "we do");
    await person.press("Check in");
    await person.go(`/bench/${await taken()}/test`);
    await person.sees("Our own repair came back.");
    await person.sees("Found: nothing was named.");
    await person.sees("Left here with: Turning in gear good");
  });

  it("thinks first of what was found and renewed the last time, and does it again free", async () => {
    const tag = server.value<string>("SELECT tag FROM job WHERE kind = 'comeback' ORDER BY id LIMIT 1");
    await person.go(`/bench/${tag}/find`);
    await person.sees("Found: Friction washers worn thin");
    await person.press("Friction washers worn thin");
    await person.press("Proved");
    await person.press("1 found: on to Quote");
    await person.sees("(our own work, free)");
  });

  it("is refused where nothing of ours stands under the serial, and nothing typed is lost", async () => {
    await known("MS30 61002", "comeback");
    await person.type("Who pays", "we do");
    await person.press("drag weak");
    await person.press("Check in");
    await person.sees("We have not returned a reel with this serial.");
    expect(await person.value("Serial")).toBe("MS30 61002");
  });
});
