import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import ICAL from "ical.js";
import { Key } from "selenium-webdriver";
import { afterAll, describe, expect, it } from "vitest";
import { skerry30Anatomy } from "#demo/models/skerry-30";
import { plainJob } from "#tests/workshop";
import { openJob } from "@/data/counter/open-job";
import { setBin } from "@/data/parts/stock";
import { atTheBench, type Person, type Server } from "./bench";
import { buildAll, cleanAll, onTheData, stripAll } from "./stations";

let server: Server;
let person: Person;
const folder = mkdtempSync(join(tmpdir(), "zorbek-strip-"));
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const open = (modelId: string, serial: string): string =>
  onTheData(server, (ctx) => openJob(ctx, plainJob({ modelId, serial, complaint: "its year's service", limitMinor: 100_000 })).tag);
/** Seats of the star drag reel that a full service empties: all but its frame, foot and what is let into them. */
const serviced = skerry30Anatomy.positions.filter(
  ({ assemblyId, stays }) => !stays && !skerry30Anatomy.assemblies.find(({ id }) => id === assemblyId)?.stays,
).length;
const wells = (tag: string) =>
  server.value<number>("SELECT count(*) FROM tray_well WHERE job_id = (SELECT id FROM job WHERE tag = ?)", tag);
const state = (tag: string, operation: string) =>
  server.value<string | undefined>(
    "SELECT state FROM build_step WHERE operation_id = ? AND job_id = (SELECT id FROM job WHERE tag = ?)",
    operation,
    tag,
  );

describe("a star drag reel, apart and together by the keyboard alone", () => {
  let tag = "";

  it("comes apart: one taken out of turn by a few letters, what the hands do as one in one press, the caution said before the act", async () => {
    tag = open("skerry-30", "KEYS 1");
    await person.go(`/bench/${tag}/strip`);
    await person.sees("into well 1");
    await person.tabTo("Something else came off?");
    await person.keys("head plate foot screw, f");
    await person.tabTo("Head plate foot screw, front");
    await person.keys(Key.ENTER);
    await person.sees("Head plate foot screw, front into well 1");
    // The focus is back on the main act: the space bar takes it.
    await person.keys(" ");
    await person.sees("into well 2");
    // Touched by a pointer a fold-out keeps the focus, and the space bar all the same does the main act, as often as it is pressed.
    await person.driver.findElement({ xpath: "//summary[contains(., 'What is opened')]" }).click();
    await person.keys(" ");
    await person.sees("into well 3");
    await person.keys("u");
    await person.sees("into well 2");
    await person.keys(" ");
    await person.sees("into well 3");
    await person.tabTo("Something else came off?");
    await person.keys("dog spring");
    await person.tabTo("Dog spring");
    await person.keys(Key.ENTER);
    await person.sees("The dog spring flies");
    await person.sees("Makers' instructions, local codes and licensed practice come first.");
    await person.go(`/bench/${tag}/strip`);
    await stripAll(person);
    // The foot, which no service takes off, after everything else; the page has gone on to Clean.
    await person.go(`/bench/${tag}/strip`);
    await person.tabTo("Something else came off?");
    await person.keys("reel foot");
    await person.tabTo("Reel foot");
    await person.keys(Key.ENTER);
    await person.keys(" ");
    await person.driver.wait(() => wells(tag) === serviced + 1, 10_000);
    expect(
      server.value(
        "SELECT max(n) FROM (SELECT count(*) AS n FROM tray_well WHERE job_id = (SELECT id FROM job WHERE tag = ?) GROUP BY well)",
        tag,
      ),
    ).toBeGreaterThanOrEqual(5);
  });

  it("shows the hazards of each bath at the bath", async () => {
    await person.go(`/bench/${tag}/clean`);
    await person.press("in baths, by kind of part");
    await person.sees("into the bath, 20 min");
    await person.sees("no flame or hot surface near; oily rags into a closed metal bin");
    await cleanAll(person);
  });

  it("refuses what would be built in wrong: order, keyed for eared, the long screw left for the short hole, the stack nested", async () => {
    await person.go(`/bench/${tag}/build`);
    await person.press("Why this order");
    await person.sees("swapped so that every check comes before it is covered");
    const seen = new Set<string>();
    const once = (what: string) => !seen.has(what) && Boolean(seen.add(what));
    // The page follows what was opened again; a press before that would be for the step that stands there still.
    const stepIs = (so: (step: string) => boolean) =>
      person.driver.wait(
        async () => so(await person.driver.executeScript<string>("return document.querySelector('h1')?.innerText ?? ''")),
        20_000,
      );
    await buildAll(person, async (heading) => {
      if (heading === "Fit Bridge" && once("order")) {
        // The main gear before what belongs under it.
        await person.tabTo("Fit Main gear");
        await person.keys(Key.ENTER);
        await person.sees("First: Bridge");
        // The main key leads to what comes first, and fits nothing.
        await person.keys(" ");
        await stepIs((step) => step === "Fit Bridge");
        expect(state(tag, "place-main-gear")).toBeUndefined();
        return true;
      }
      if (heading === "Gear and drag stack" && once("swapped")) {
        await person.key("w");
        await person.atField();
        await person.keys("eared");
        await person.tabTo("Eared washer");
        await person.keys(Key.ENTER);
        await person.sees("It belongs: Eared washer");
        await person.key("w");
        return true;
      }
      if (heading === "Head plate screws" && once("screw")) {
        // A short one lies in the long one's well: the long one went into the foot.
        await person.tabTo("Head plate screw, top: just this one");
        await person.keys(Key.ENTER);
        await person.sees("Fit Head plate screw, top");
        await person.key("w");
        await person.atField();
        await person.keys("tail plate foot screw, r");
        await person.tabTo("Tail plate foot screw, rear");
        await person.keys(Key.ENTER);
        await person.sees("Do not fit it here.");
        await person.sees("is recorded as fitted already");
        await person.tabTo("Open Tail plate foot screw, rear again");
        await person.keys(Key.ENTER);
        await person.driver.wait(() => state(tag, "place-tail-screw-foot-rear") === undefined, 10_000);
        await stepIs((step) => step.startsWith("Fit Tail plate foot screw, rear") || step === "Tail plate screws");
        return true;
      }
      if (heading.startsWith("Check: The star goes from free to locked") && once("nested")) {
        await person.key("x");
        await person.sees("Stop: the check failed");
        await person.tabTo("This was it, open it again: Tension washers");
        await person.keys(Key.ENTER);
        await person.driver.wait(() => state(tag, "gate-star") === undefined, 10_000);
        expect(state(tag, "place-star")).toBeUndefined();
        await stepIs((step) => !step.startsWith("Check: The star"));
        return true;
      }
      if (heading === "Star and tension washers" && once("look")) await person.sees("Check these once more before they are covered");
      return false;
    });
    expect([...seen].sort()).toEqual(["look", "nested", "order", "screw", "swapped"]);
    const [done, of] = /(\d+)\/(\d+)\s+steps done/.exec(await person.read())!.slice(1);
    expect(done).toBe(of);
    expect(Number(of)).toBeGreaterThan(serviced + 2);
  });

  it("remembers what failed the gate, for the next such reel", async () => {
    const cause = server.value<string>(
      "SELECT json_extract(detail, '$.operation') FROM journal WHERE action = 'step-undone' AND json_extract(detail, '$.gate') = 'gate-star'",
    );
    expect(cause).toMatch(/^place-tension/);
  });
});

describe("a spinning reel, with a washer lost in the bath", () => {
  let tag = "";
  let modelId = "";

  it("comes apart by the keyboard, and the bath gives one part less back than went in", async () => {
    modelId = server.value<string>("SELECT id FROM model WHERE family = 'spinning' ORDER BY id");
    tag = open(modelId, "KEYS 2");
    await person.go(`/bench/${tag}/strip`);
    await stripAll(person);
    const all = wells(tag);
    expect(all).toBeGreaterThan(40);
    await person.go(`/bench/${tag}/clean`);
    await person.press("in baths, by kind of part");
    await person.sees("into the bath, 20 min");
    await person.space(); // the longest bath first
    await person.tabTo("Degreaser bath, then brush");
    await person.keys(Key.ENTER);
    await person.tabTo("Rotor washer");
    await person.keys(Key.ENTER);
    await person.sees("1 missing");
    await person.key(" ");
    await person.sees("Rotor washer: Added to the quote");
    await cleanAll(person);
    expect(server.value("SELECT note FROM tray_well WHERE verdict = 'missing' AND job_id = (SELECT id FROM job WHERE tag = ?)", tag)).toBe(
      "lost in the bath",
    );
  });

  it("does not go together without it; with a new one out of the bin it does, every gate passed", async () => {
    onTheData(server, (ctx) =>
      setBin(
        ctx,
        ctx.db
          .prepare("SELECT part_type_id FROM tray_well JOIN instance ON instance.id = instance_id WHERE verdict = 'missing'")
          .pluck()
          .get() as string,
        "R1",
        3,
        0,
      ),
    );
    await person.go(`/bench/${tag}/build`);
    let refused = false;
    await buildAll(person, async (heading) => {
      const acted = await person.driver.executeScript<string>(
        "return document.querySelector('ol[aria-label=\"Steps of this act\"]')?.innerText ?? ''",
      );
      if ((heading !== "Fit Rotor washer" && !acted.includes("Rotor washer")) || refused) return false;
      refused = true;
      // Of a handful the one that is not here is looked at alone; there the main key leads to where it is fitted.
      if (heading !== "Fit Rotor washer") await person.key(" ");
      await person.sees("The new Rotor washer is not here yet.");
      await person.sees("Fit it at Parts");
      await person.go(`/bench/${tag}/parts`);
      await person.tabTo("Rotor washer");
      await person.keys(Key.ENTER);
      await person.tabTo("Fit from stock");
      await person.keys(Key.ENTER);
      await person.sees("Now: new piece in well");
      await person.go(`/bench/${tag}/build`);
      return true;
    });
    expect(refused).toBe(true);
    await person.go(`/bench/${tag}/return`);
    expect(await person.seesNot("still holds")).toBe(true);
  });

  it("prints reports that another program reads, and dates that another calendar reads", async () => {
    const get = async (file: string) => Buffer.from(await (await fetch(`${server.base}/bench/${tag}/${file}`)).arrayBuffer());
    for (const [file, words] of [
      ["report.pdf", ["Service report", tag, "Rotor washer", "Reel grease:", "Line roller: rinse, dry, a drop of oil"]],
      ["short.pdf", ["Short report", tag, "Rotor washer"]],
    ] as const) {
      const path = join(folder, file);
      writeFileSync(path, await get(file));
      const text = execFileSync("pdftotext", ["-layout", path, "-"], { encoding: "utf8" }).replace(/\s+/g, " ");
      for (const said of words) expect(text, file).toContain(said);
    }
    const calendar = new ICAL.Component(ICAL.parse((await get("service.ics")).toString()));
    const events = calendar.getAllSubcomponents("vevent").map((one) => new ICAL.Event(one));
    expect(events.map(({ summary }) => summary).some((summary) => summary.endsWith("Whole reel"))).toBe(true);
    for (const { startDate } of events) {
      expect(startDate.isDate).toBe(true);
      expect(startDate.toJSDate().getTime()).toBeGreaterThan(Date.now());
    }
  });
});

describe("a reel that is built otherwise than drawn", () => {
  it("is said so at Strip by the picture of what is seen, and goes on with it; a piece that lies in the tray stands against it", async () => {
    const tag = open("skerry-30", "KEYS 8");
    const hasSeat = (seat: string) =>
      server.value(
        "SELECT count(*) FROM position JOIN job ON job.model_version_id = position.model_version_id WHERE job.tag = ? AND position.id = ?",
        tag,
        seat,
      );
    await person.go(`/bench/${tag}/strip`);
    await person.sees("Handle lock screw");
    await person.press("Built differently from the drawing?");
    await person.press("Handle end");
    await person.press("slotted screw, no lock");
    await person.driver.wait(async () => hasSeat("handle-screw") === 1, 10_000);
    expect(hasSeat("lock-screw")).toBe(0);
    await person.sees("Handle with its screw");
    // It comes off with its handle; then the other end is refused with what to do.
    await person.keys(" ");
    await person.driver.wait(() => wells(tag) > 0, 10_000);
    await person.press("nut with a tiny lock screw");
    await person.sees("A reel built this way has no handle screw");
    await person.sees("Put it back first");
    expect(hasSeat("handle-screw")).toBe(1);
  });
});
