import { By } from "selenium-webdriver";
import { describe, expect, it } from "vitest";
import { atTheBench, Person, type Server } from "./bench";
import { seriousFaults } from "./serious";

let server: Server;
let person: Person;
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});

const views = [
  "/",
  "/counter",
  "/bench",
  "/stores",
  "/stores/bins",
  "/stores/suppliers",
  "/stores/walk",
  "/stores/shelf",
  "/stores/pick",
  "/library/new-part",
  "/library",
  "/library/skerry-30",
  "/library/dunlin-9/playbook",
  "/library/dunlin-9/ledgers",
  "/library/dunlin-9/editions",
  "/library/dunlin-9/fits",
  "/library/dunlin-9/reels",
  "/library/dunlin-9/record",
  "/library/part/sk-dog",
  "/gauges",
  "/gauges/drag",
  "/gauges/picture",
  "/gauges/washers",
  "/gauges/bearing",
  "/gauges/screw",
  "/gauges/spin",
  "/gauges/gearing",
  "/gauges/line",
  "/bench/Z-00010-1/clean",
  "/ledger",
  "/ledger/reel/1",
  "/ledger/papers",
  "/ledger/papers/1",
  "/ledger/figures",
  "/ledger/figures/jobs",
  "/rack/hours",
  "/rack/season",
  "/shop",
  "/shop/knowledge",
  "/bench/Z-00014-9/find",
  "/bench/Z-00015-8/test",
  "/bench/Z-00007-6/test",
  "/bench/Z-00006-8/find",
  "/bench/Z-00006-8/quote",
  "/bench/Z-00005-9/strip",
  "/bench/Z-00005-9/parts",
  "/bench/Z-00004-5/build",
  "/bench/Z-00008-4/prove",
  "/bench/Z-00008-4/return",
];

describe("every view", () => {
  it.each(views)("%s has nothing serious for axe-core, its act within 1280 × 800, and no error in the console", async (path) => {
    await person.go(path);
    expect(await seriousFaults(person)).toEqual([]);
    for (const key of await person.driver.findElements(By.css(".key-main"))) {
      const { top, bottom } = await person.driver.executeScript<{ top: number; bottom: number }>(
        "const { top, bottom } = arguments[0].getBoundingClientRect(); return { top, bottom }",
        key,
      );
      expect(bottom - top).toBeGreaterThanOrEqual(72);
      expect(bottom).toBeLessThanOrEqual(800);
    }
    const logs = await person.driver.manage().logs().get("browser");
    expect(logs.filter((entry) => entry.level.name === "SEVERE").map((entry) => entry.message)).toEqual([]);
  });
});

describe("a dark bench", () => {
  it("has a dim palette by a press at Shop, kept on the device, with contrast enough on every kind of page", async () => {
    await person.go("/shop");
    await person.press("Dim");
    for (const path of [
      "/shop",
      "/",
      "/counter",
      "/library/skerry-30",
      "/ledger/figures",
      "/bench/Z-00006-8/find",
      "/bench/Z-00004-5/build",
      "/stores",
    ]) {
      await person.go(path);
      expect(await person.driver.executeScript("return getComputedStyle(document.querySelector('.sheet')).backgroundColor"), path).toBe(
        "rgb(38, 43, 41)",
      );
      expect(await seriousFaults(person), path).toEqual([]);
    }
    await person.go("/shop");
    await person.press("As this device");
    expect(await person.driver.executeScript("return getComputedStyle(document.querySelector('.sheet')).backgroundColor")).toBe(
      "rgb(252, 252, 250)",
    );
  });
});

describe("the keyboard", () => {
  it("goes to every room by its key, lists the keys, finds anything, and rests while a field has focus", async () => {
    await person.go("/gauges");
    for (const [key, path] of [
      ["c", "/counter"],
      ["s", "/stores"],
      ["e", "/ledger"],
      ["r", "/"],
    ] as const) {
      await person.key(key);
      await person.driver.wait(async () => new URL(await person.driver.getCurrentUrl()).pathname === path, 10_000);
    }
    await person.key("?");
    await person.sees("Keys on this page");
    await person.sees("Go to Stores");
    await person.driver.actions().sendKeys("\uE00C").perform();
    await person.key("/");
    await person.sees("Find");
    await person.driver.actions().sendKeys("wenna").perform();
    await person.sees("Wenna Harrowgate");
    await person.driver.actions().sendKeys("s").perform(); // typed, not a shortcut
    expect(new URL(await person.driver.getCurrentUrl()).pathname).toBe("/");
  });

  it("finds a part by what was measured", async () => {
    await person.go("/gauges");
    await person.key("/");
    await person.driver.actions().sendKeys("washer 31 x 8.6 x 0.9").perform();
    await person.sees("SK-231 Friction washer, 31 × 8.6 × 0.9");
  });

  it("tells which bearing it is, and which of two that share bore and outside", async () => {
    await person.go("/gauges/bearing");
    await person.sees("685");
    await person.type("Width, mm", "4");
    await person.sees("MR115");
    await person.type("Width, mm", "x");
    await person.sees("A width above 0 mm");
    await person.type("Width, mm", "4,5");
    await person.sees("not in my table");
  });

  it("presses the main act with the foot switch's key", async () => {
    await person.go("/");
    await person.key("\uE00F"); // PageDown
    await person.driver.wait(async () => (await person.driver.getCurrentUrl()).includes("/bench/Z-"), 10_000);
  });
});

describe("a phone at the bench", () => {
  it("has every page as wide as itself: what is wider is narrowed, or scrolls within the page", async () => {
    const phone = await Person.at(server, { width: 390, height: 844 });
    try {
      const wide: string[] = [];
      for (const path of [...views, "/bench/lot/1", "/bench/Z-00009-2/test", "/counter/lot"]) {
        await phone.go(path);
        // As wide as the phone, not as the window: a page that is wider makes the window of a phone wider too.
        const width = await phone.driver.executeScript<number>("return document.documentElement.scrollWidth");
        if (width > 390) wide.push(`${path}: ${width} px`);
      }
      expect(wide).toEqual([]);
    } finally {
      await phone.close();
    }
  });

  it("has targets of a thumb's height, a foot that leaves room, and nothing serious for axe-core", async () => {
    const phone = await Person.at(server, { width: 390, height: 844 });
    try {
      const small: string[] = [];
      for (const path of ["/", "/counter", "/library", "/stores", "/shop", "/ledger", "/bench/Z-00005-9/strip", "/bench/Z-00004-5/build"]) {
        await phone.go(path);
        small.push(
          ...(
            await phone.driver.executeScript<string[]>(
              `return [...document.querySelectorAll("main button, main select, main summary, main input:not([type=checkbox], [type=radio], [type=file], [type=hidden]), main a.key")]
              .filter((one) => one.checkVisibility())
              .flatMap((one) => one.getBoundingClientRect().height < 43.5 ? [one.outerHTML.slice(0, 120)] : [])`,
            )
          ).map((html) => `${path}: ${html}`),
        );
        const foot = await phone.driver.executeScript<number>(
          "return document.querySelector('.sheet-edge:not(.sheet-edge-quiet)')?.getBoundingClientRect().height ?? 0",
        );
        if (foot > 134) small.push(`${path}: a foot of ${foot} px`);
        small.push(...(await seriousFaults(phone)).map((fault) => `${path}: ${fault}`));
      }
      expect(small).toEqual([]);
    } finally {
      await phone.close();
    }
  });

  it("shows the tray's main act, undo and the picture key without sideways scrolling", async () => {
    const phone = await Person.at(server, { width: 390, height: 844 });
    try {
      await phone.go("/bench/Z-00007-6/strip");
      await phone.key(" ");
      await phone.sees("into well 2");
      const { overflow, bottom } = await phone.driver.executeScript<{ overflow: number; bottom: number }>(
        "return { overflow: document.documentElement.scrollWidth - 390, bottom: document.querySelector('.key-main').getBoundingClientRect().bottom }",
      );
      expect(overflow).toBeLessThanOrEqual(0);
      expect(bottom).toBeLessThanOrEqual(844);
      await phone.sees("Photo of this joint");
      await phone.press("Undo");
      await phone.sees("into well 1");
    } finally {
      await phone.close();
    }
  });
});
