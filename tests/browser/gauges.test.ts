import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { By, Key } from "selenium-webdriver";
import sharp from "sharp";
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
    await person.press("cup up, turn Tension washer, upper over");
    await person.rest(200);
    expect(await person.seesNot("times as stiff as opposed")).toBe(true);
    expect(await big()).toBeLessThan(nested);
    await person.press("cup down, turn Tension washer, upper over");
    await person.sees("times as stiff as opposed");
  });

  it("refuses what cannot be at its field, keeps what was typed, and computes again once it is mended", async () => {
    await person.type("Hole, mm", "40");
    await person.sees("The hole is not smaller than the outside: 40 against 16 mm.");
    await person.sees("Fix the sizes on the left");
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
    await person.type("Breaking load, lbf", "10");
    await person.sees("25 % of the line; common practice");
  });

  it("says what measured pulls tell, and refuses what cannot be read", async () => {
    await person.press("What measured pulls say");
    await person.type("Turns and pull, N", "0.5 ten");
    await person.sees("Each pull: turns of the star and newtons");
    await person.type("Turns and pull, N", "0.5 12; 1 25; 1.5 37");
    await person.sees("Coefficient 0.");
    await person.sees("compare with this reel's own earlier pulls");
    await person.type("Tension washers", "sizes not known");
    await person.sees("without the springs' sizes pulls tell no more");
  });

  it("shows a cam half a turn round as lost free spool", async () => {
    await person.type("Squeezed by", "a lever and its cam");
    await person.type("Cam fitted", "half a turn out");
    await person.sees("No free spool: it already presses at the lever's first mark.");
    await person.type("Cam: degrees and rise", "0 0; 0 1");
    await person.sees("degrees rising");
    await person.type("Cam: degrees and rise", "0 0; 60 0.4; 120 0.7");
    await person.type("Cam fitted", "as it belongs");
    expect(await person.seesNot("No free spool")).toBe(true);
    await person.type("Squeezed by", "a star and tension washers");
  });

  it("walks a run in a worker of its own and says how hot it gets", async () => {
    await person.press("The heat of a run");
    await person.press("Compute");
    await person.sees("Hottest", 20_000);
    await person.type("Run: seconds at m/s", "quickly");
    await person.sees("Each piece: seconds above 0");
  });
});

describe("a gauge's drawing", () => {
  const fullAcross = () => person.value("Full across");
  const gripOf = (name: string) => person.driver.findElement(By.css(`[role="slider"][aria-label="${name}"]`));

  it("is taken hold of by the keyboard and by the hand, and its number follows", async () => {
    await person.go("/gauges");
    await person.driver.findElement(By.css('a[href="/gauges/line"] svg')).click();
    await person.sees("Line on the spool");
    const before = Number(await fullAcross());
    await (await gripOf("Over the line")).sendKeys(Key.ARROW_UP, Key.ARROW_UP);
    expect(Number(await fullAcross())).toBe(before + 1);
    const grip = await gripOf("Over the line");
    await person.driver.actions().dragAndDrop(grip, { x: 0, y: 20 }).perform();
    expect(Number(await fullAcross())).toBeLessThan(before);
  });

  it("turns a tension washer over by a press, and the force moves", async () => {
    await person.go("/gauges/washers");
    const force = async () => (await person.driver.findElement(By.css(".text-measure"))).getText();
    const opposed = await force();
    await person.driver.findElement(By.css('[role="button"][aria-label^="Washer 1"]')).click();
    await person.sees("Nested");
    expect(await force()).not.toBe(opposed);
  });
});

describe("a picture with a ruler in it", () => {
  it("is measured by two taps on the ruler and two on the thing, and kept with the job", async () => {
    const file = join(folder, "tongue.png");
    // Ten millimetres of ruler are 300 pixels; the thing is 120.
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="500" height="300"><rect width="500" height="300" fill="white"/><path d="M50 60 h300 M50 50 v20 M350 50 v20 M100 200 h120 M100 190 v20 M220 190 v20" stroke="black" stroke-width="2" fill="none"/></svg>';
    await sharp(Buffer.from(svg)).png().toFile(file);
    const tag = server.value<string>("SELECT tag FROM job WHERE closed_at IS NULL ORDER BY id LIMIT 1");
    await person.go(`/gauges/picture?job=${tag}`);
    await (await person.field("Picture with a ruler in it")).sendKeys(file);
    await person.type("What is measured", "Click tongue");
    await person.sees("Tap one end of a stretch of the ruler");
    const picture = await person.driver.findElement(By.css("[data-picture] img"));
    const { width, height } = await picture.getRect();
    for (const [x, y] of [
      [50, 60],
      [350, 60],
      [100, 200],
      [220, 200],
    ] as const)
      await person.driver
        .actions()
        .move({ origin: picture, x: Math.round((x / 500 - 0.5) * width), y: Math.round((y / 300 - 0.5) * height) })
        .click()
        .perform();
    await person.sees("by how well a tap hits");
    const mm = Number.parseFloat(await (await person.driver.findElement(By.css(".text-measure"))).getText());
    expect(Math.abs(mm - 4)).toBeLessThan(0.1);
    await person.key(" ");
    await person.driver.wait(() => server.value<number>("SELECT count(*) FROM gauge_result WHERE gauge = 'picture'") === 1, 10_000);
  });
});

describe("the smaller gauges", () => {
  it("tell a thread and how it is told from its neighbours", async () => {
    await person.go("/gauges/screw");
    await person.sees("M3 × 0.5");
    await person.type("Length over threads", "");
    await person.sees("The length over the threads, above 0 mm; leave both empty without.");
    await person.type("Threads in that length", "");
    await person.sees("can be it");
    await person.sees("a known screw of either laid along it shows it");
  });

  it("refuse what cannot be at its field, each of them", async () => {
    for (const [gauge, label, text, words] of [
      ["bearing", "Outside, mm", "3", "The outside is more than the bore"],
      ["screw", "Diameter, mm", "-2", "A diameter from 0.5 to 30 mm."],
      ["spin", "Pulses a turn", "1.5", "a whole number from 1"],
      ["gearing", "Turns of the handle", "0", "Turns of the handle, above 0."],
      ["line", "Full across, mm", "20", "The full spool is wider than its arbor."],
      ["line", "Line across, mm", "900", "A line is 0.03 to 3 mm across."],
    ] as const) {
      await person.go(`/gauges/${gauge}`);
      await person.type(label, text);
      await person.sees(words);
      expect(await person.value(label), gauge).toBe(text);
    }
  });

  it("open with a reel's own numbers", async () => {
    const tag = server.value<string>("SELECT tag FROM job WHERE complaint LIKE 'Drag jumps%'");
    await person.go(`/gauges/gearing?job=${tag}`);
    await person.sees("51 and 17 teeth, as its schematic has them");
    await person.sees("3 : 1");
    await person.go(`/gauges/line?job=${tag}`);
    await person.sees("Its own spool");
    // Its chart is read by the arrow keys.
    await person.tabTo("Read at");
    const reading = () => person.driver.executeScript<string>("return document.activeElement.labels[0].innerText");
    const before = await reading();
    await person.keys(Key.ARROW_RIGHT);
    expect(await reading()).not.toBe(before);
  });
});
