import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { By, Key } from "selenium-webdriver";
import { afterAll, describe, expect, it } from "vitest";
import { atTheBench, type Person, type Server } from "./bench";

let server: Server;
let person: Person;
const folder = mkdtempSync(join(tmpdir(), "zorbek-anatomy-"));
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const versions = (modelId: string) => server.value<number>("SELECT max(number) FROM model_version WHERE model_id = ?", modelId);
const until = (what: () => boolean) => person.driver.wait(what, 10_000);
/** The seats along the axis as the strip under the plate shows them. */
const axis = async () => {
  const keys = await person.driver.findElements(By.css('ol[aria-label^="Order along the axis"] button[aria-label^="Look at"]'));
  return Promise.all(keys.map(async (key) => (await key.getAttribute("aria-label"))!.slice("Look at ".length)));
};

describe("the machine edited at its drawing", () => {
  it("moves a part along its axis by the keyboard and by dragging, and undo takes each back", async () => {
    await person.go("/library/plover-30");
    await person.press("Rotor");
    const below = ["Collar spring", "Rotor collar"];
    const above = ["Counterweight", "Cover of the counterweight", "Bush under the nut", "Rotor nut"];
    const asBuilt = [...below, "Rotor washer", "Rotor", ...above, "Nut set screw"];
    expect(await axis()).toEqual(asBuilt);
    const handle = (name: string) => person.driver.findElement(By.css(`[aria-label="Move ${name} along the axis"]`));
    const lift = await handle("Rotor washer");
    await person.driver.executeScript("arguments[0].focus()", lift);
    for (const key of [Key.SPACE, Key.ARROW_RIGHT, Key.SPACE]) {
      await person.driver.actions().sendKeys(key).perform();
      await person.rest(350);
    }
    await person.sees("Save version 2");
    expect(await axis()).toEqual([...below, "Rotor", "Rotor washer", ...above, "Nut set screw"]);
    await person.press("Undo");
    expect(await axis()).toEqual(asBuilt);
    const [from, to] = [await handle("Nut set screw"), await handle("Rotor")];
    await person.driver.executeScript("arguments[0].scrollIntoView({ block: 'center' })", from);
    await person.driver
      .actions()
      .move({ origin: from })
      .press()
      .move({ origin: from, x: -20, duration: 200 })
      .move({ origin: to, duration: 400 })
      .pause(300)
      .release()
      .perform();
    await person.rest(300);
    expect(await axis()).toEqual([...below, "Rotor washer", "Nut set screw", "Rotor", ...above]);
    await person.press("Undo");
  });

  it("takes a new part of a kind, its words and order, and saves them as a version", async () => {
    await person.press("Look at Rotor washer");
    await person.press("Add a part after this one");
    await person.press("plain washer");
    await person.sees("guessed");
    await person.type("outside, mm", "12");
    await person.type("Part number", "PL-53S");
    await person.press("Seat");
    await person.type("Name of the seat", "Second rotor washer");
    await person.press("Order");
    await person.sees("Rotor washer ✕");
    await person.press("Care");
    await person.type("Trap when it goes back", "Two of them: count.");
    await person.press("Confirm");
    await person.press("Save version 2");
    await until(() => versions("plover-30") === 2);
    expect(server.value("SELECT seat ->> 'trap' FROM position WHERE name = 'Second rotor washer'")).toBe("Two of them: count.");
    expect(server.value("SELECT shape ->> 'outsideMm' FROM part_type WHERE number = 'PL-53S'")).toBe(12);
  });

  it("is refused with millimetres when it no longer fits, and nothing typed is lost", async () => {
    await person.go("/library/cairn-20");
    await person.press("Head plate and gears");
    await person.press("Look at Main gear");
    await person.type("teeth", "52");
    await (await person.field("teeth")).sendKeys("\n");
    await person.press("Save version 2");
    await person.sees("mm too close");
    expect(await person.value("teeth")).toBe("52");
    expect(versions("cairn-20")).toBe(1);
  });

  it("is searched by name and size, zoomed by keys, and hatched by what one asks", async () => {
    await person.go("/library/skerry-30");
    await person.type("Find a name, number or size", "31 8.6");
    await person.press("Friction washer, high");
    await person.sees("SK-231");
    const scale = () =>
      person.driver.executeScript<string>("return document.querySelector('svg[aria-label^=Schematic] > g').getAttribute('transform')");
    expect(await scale()).toContain("scale(1)");
    await person.press("Larger");
    expect(await scale()).toContain("scale(1.5)");
    await person.press("Whole");
    expect(await scale()).toContain("scale(1)");
    await person.type("Highlight", "keyed washer");
    expect(await person.driver.findElements(By.css("[data-shade]"))).toHaveLength(2);
    await person.type("Highlight", "what wears here");
    const words = await person.driver.executeScript<string[]>(
      "return [...document.querySelectorAll('svg [role=button]')].map((e) => e.getAttribute('aria-label'))",
    );
    expect(words.join("; ")).toMatch(/worn in 3 of \d/);
  });
});

describe("editions", () => {
  it("are told by a serial at once, and bound to a reel by what is seen on it", async () => {
    await person.go("/library/dunlin-9/editions");
    await person.type("Try a serial", "f1407");
    await person.sees("Made in 1951");
    await person.sees("Flat-bar dog spring, from the year");
    await person.type("Try a serial", "Q2200");
    await person.sees("Made in 1960");
    await person.sees("Coil dog spring");
    await person.go("/bench/Z-00013-0/strip");
    await person.sees("from the year of the serial 1951");
    await person.type("Something else came off", "dog spring");
    await person.sees("Dog spring, flat bar");
    await person.type("Edition", "Coil dog spring");
    await person.sees("seen on this reel");
    expect(await person.seesNot("Dog spring, flat bar")).toBe(true);
  });

  it("are added, and refused a pattern that cannot be read", async () => {
    await person.go("/library/weir-15/editions");
    await person.press("Add an edition");
    await person.type("Serial pattern", "{oops}");
    await (await person.field("Serial pattern")).sendKeys("\n");
    await person.sees("In braces stands");
    await person.type("Serial pattern", "W##*");
    await person.rest(320); // a second press within 300 ms counts as the glove's
    await (await person.field("Serial pattern")).sendKeys("\n");
    await person.press("Save version 2");
    await until(() => versions("weir-15") === 2);
    await person.go("/library/weir-15/editions");
    expect(await person.value("Serial pattern")).toBe("W##*");
  });
});

describe("what goes in place of what", () => {
  it("is offered at the bench: another number instead, a whole kit, a piece off a donor", async () => {
    await person.go("/bench/Z-00013-0/parts");
    await person.press("Add all to quote");
    await person.sees("In the quote");
    expect(
      server.value(
        "SELECT count(*) FROM quote_part JOIN job ON job.id = quote_part.job_id WHERE job.tag = 'Z-00013-0' AND part_type_id LIKE 'dn-c%'",
      ),
    ).toBe(4);
    await person.go("/bench/Z-00010-1/parts");
    await person.press("Bridge and anti-reverse");
    const callout = await person.driver.findElement(By.css('svg [role="button"][aria-label*="Anti-reverse dog"]'));
    await person.driver.executeScript("arguments[0].dispatchEvent(new MouseEvent('click', { bubbles: true }))", callout);
    await person.sees("Also fits");
    const dog = () =>
      server.list<string>(
        "SELECT part_type_id FROM quote_part JOIN job ON job.id = quote_part.job_id WHERE job.tag = 'Z-00010-1' AND position_id LIKE '%dog'",
      );
    expect(dog()).toEqual([]);
    await person.press("Use this instead");
    await until(() => dog().includes("sk-213a"));
    await person.sees("Anti-reverse dog, hardened nose");
    await person.go("/bench/Z-00005-9/parts");
    await person.sees("From a donor reel");
    await person.press("Take it");
    await person.sees("new piece in well");
    expect(server.value("SELECT state FROM donor_piece WHERE part_type_id = 'sk-main-gear'")).toBe("used");
    await person.press("Undo: return it to the bin");
    await until(() => server.value("SELECT state FROM donor_piece WHERE part_type_id = 'sk-main-gear'") === "lying");
  });

  it("is kept as a set with its exclusions, and as a kit that must fit", async () => {
    await person.go("/library/rill-10/fits");
    await person.press("A new set");
    await person.type("What is shared", "Handle knobs");
    await person.type("Parts that interchange together", "handle knob");
    await person.press("Save the set");
    await person.sees("Handle knobs");
    await person.press("A new kit");
    await person.type("What it converts to", "Larger gear");
    await person.type("Number of part 1", "SX-220");
    await person.press("Save the kit");
    await person.sees("Choose the seat of SX-220.");
    await person.type("Seat of part 1", "Bearing pin");
    await person.rest(320);
    await person.press("Save the kit");
    await person.sees("has teeth, and nothing there does");
    await person.type("Number of part 1", "RL-47");
    await person.type("Seat of part 1", "Main gear");
    await person.rest(320);
    await person.press("Save the kit");
    await until(() => server.value("SELECT count(*) FROM kit WHERE model_id = 'rill-10' AND kit_json LIKE '%Larger gear%'") === 1);
    expect(server.value("SELECT count(*) FROM interchange_set WHERE name = 'Handle knobs'")).toBe(1);
  });
});

describe("the library", () => {
  it("is searched by a size, and a spreadsheet's strange columns are named by hand", async () => {
    await person.go("/library?q=washer+31+8.6");
    await person.sees("SX-231");
    const file = join(folder, "odd.csv");
    writeFileSync(file, "Artikel;Was;Sorte;Ø\nOD-1;Odd washer;plain washer;21,5\n");
    await person.go("/library");
    await (await person.field("Parts list")).sendKeys(file);
    await person.sees("No column is the part number");
    for (const [column, meaning] of [
      ["Artikel", "part number"],
      ["Was", "name"],
      ["Sorte", "kind"],
      ["Ø", "outside, mm"],
    ] as const) {
      await person.type(`Column ${column} is`, meaning);
      await person.settled();
    }
    await person.press("Bring 1 parts in");
    await person.sees("1 parts are in the catalogue now.");
    expect(server.value("SELECT shape ->> 'outsideMm' FROM part_type WHERE number = 'OD-1'")).toBe(21.5);
  });

  it("says which wrong builds pass every check, and takes a check over by one press", async () => {
    await person.go("/library/breakwater-60/playbook");
    const passing = async () => Number(/(\d+) of \d+ single mistakes pass/.exec(await person.read())?.[1] ?? 0);
    const before = await passing();
    expect(before).toBeGreaterThan(0);
    const inTheMiddle = async (by: By) => {
      const element = await person.driver.findElement(by);
      await person.driver.executeScript("arguments[0].scrollIntoView({ block: 'center' })", element);
      return element;
    };
    await (await inTheMiddle(By.xpath("//summary[contains(., 'single mistakes pass')]"))).click();
    await (await inTheMiddle(By.css('button[aria-label^="Take over"]'))).click();
    await person.driver.wait(async () => (await passing()) < before, 10_000);
  });

  it("puts the minutes this bench has timed into the playbook by one act", async () => {
    await person.go("/library/skerry-30/playbook");
    await person.press("Put in the minutes of");
    await until(
      () =>
        server.value<number>(
          "SELECT count(*) FROM operation JOIN model_version ON model_version.id = operation.model_version_id WHERE model_version.model_id = 'skerry-30' AND operation.act ->> 'minutes' > 0",
        ) > 20,
    );
    await person.sees("min for the steps with known times");
  });
});
