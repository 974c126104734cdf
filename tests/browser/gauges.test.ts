import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { By, Key } from "selenium-webdriver";
import { afterAll, describe, expect, it } from "vitest";
import { atTheBench, type Person, type Server } from "./bench";

let server: Server;
let person: Person;
const folder = mkdtempSync(join(tmpdir(), "zorbek-gauges-"));
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const big = async () => Number.parseFloat(await (await person.driver.findElement(By.css(".text-measure"))).getText());

describe("gauges opened for a reel", () => {
  let tag = "";

  it("shows why its drag jumps: the washers lie in one another; turned over the curve moves and the warning goes", async () => {
    tag = server.value<string>("SELECT tag FROM job WHERE complaint LIKE 'Drag jumps%'");
    await person.go(`/gauges/washers?job=${tag}`);
    await person.sees("lay: cup up, lying in the lower one");
    await person.sees("times as stiff as opposed");
    const nested = await big();
    await person.press("Turn Tension washer, upper over");
    await person.rest(200);
    expect(await person.seesNot("times as stiff as opposed")).toBe(true);
    expect(await big()).toBeLessThan(nested);
    await person.press("Turn Tension washer, upper over");
    await person.sees("times as stiff as opposed");
  });

  it("refuses what cannot be at its field, keeps what was typed, and computes again once it is mended", async () => {
    await person.type("Hole, mm", "40");
    await person.sees("The hole is not smaller than the outside: 40 against 16 mm.");
    await person.sees("Mend the sizes on the left");
    expect(await person.value("Hole, mm")).toBe("40");
    await person.type("Hole, mm", "minus");
    await person.sees("A size is a number above 0 mm.");
    await person.type("Hole, mm", "8.2");
    await person.sees("times as stiff as opposed");
  });

  it("is read by the keyboard, kept with the job, and stands in its report", async () => {
    await person.tabTo("Read at");
    const before = await big();
    await person.keys(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    expect(await big()).toBeGreaterThan(before);
    await person.key(" ");
    await person.driver.wait(() => server.value<number>("SELECT count(*) FROM gauge_result WHERE gauge = 'washers'") === 1, 10_000);
    const path = join(folder, "report.pdf");
    writeFileSync(path, Buffer.from(await (await fetch(`${server.base}/bench/${tag}/report.pdf`)).arrayBuffer()));
    const text = execFileSync("pdftotext", ["-layout", path, "-"], { encoding: "utf8" }).replace(/\s+/g, " ");
    expect(text).toContain("Turn them to face each other.");
  });

  it("computes the pull from this reel's own stack, says where it slips, and what the line bears", async () => {
    await person.press("Drag");
    await person.sees("Slips in 3 places.");
    const newtons = await big();
    await person.type("Unit", "lbf");
    await person.rest(200);
    expect((await big()) * 4.4482216152605).toBeCloseTo(newtons, 0);
    await person.type("Full radius, mm", "3");
    await person.sees("The full spool is wider than its arbor.");
    await person.type("Full radius, mm", "24");
    await person.type("Line breaks at, lbf", "10");
    await person.sees("25 % of the line; common practice");
  });

  it("walks a run in a worker of its own and says how hot it gets", async () => {
    await person.press("The heat of a run");
    await person.press("Let it run");
    await person.sees("Hottest", 20_000);
    await person.type("Run: seconds at m/s", "quickly");
    await person.sees("Each piece: seconds above 0");
  });
});
