import { Key } from "selenium-webdriver";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { Person, Server } from "./bench";
import { writtenDown } from "./stations";

let server: Server;
const people: Person[] = [];
beforeAll(async () => {
  server = await Server.start();
});
afterAll(async () => {
  for (const person of people) await person.close();
  await server.stop();
});

const at = async (size?: { width: number; height: number }): Promise<Person> => {
  const person = await Person.at(server, size);
  people.push(person);
  return person;
};

interface Standing {
  readonly path: string;
  readonly key: string;
  readonly step: string;
  readonly all: boolean;
}

/** Where the page is, what its main key says and whether all tests can be told good, once it stands still. */
async function standing(person: Person): Promise<Standing> {
  const look = () =>
    person.driver.executeScript<string>(
      `return JSON.stringify({ path: location.pathname, key: document.querySelector('.key-main')?.innerText.replace(/\\s+/g, ' ').trim() ?? '',
        step: document.querySelector('h1')?.innerText ?? '',
        all: [...document.querySelectorAll('.sheet-edge button')].some((one) => /^All \\d+ good/.test(one.innerText)) })`,
    );
  for (let seen = await look(); ; ) {
    await person.rest(80);
    const again = await look();
    if (again === seen) return JSON.parse(seen) as Standing;
    seen = again;
  }
}

/** Something in the foot pressed where it stands, as a thumb does: nothing is scrolled first, nothing may lie over it, and it is a thumb's height. */
async function underThumb(person: Person, which: string): Promise<void> {
  const place = await person.driver.executeScript<{ x: number; y: number; height: number; over: string }>(
    `const key = [...document.querySelectorAll('.sheet-edge button, .sheet-edge a')].find((one) => ${which});
     const { left, top, width, height } = key.getBoundingClientRect();
     const x = left + width / 2, y = top + height / 2, hit = document.elementFromPoint(x, y);
     return { x: Math.round(x), y: Math.round(y), height, over: hit && key.contains(hit) ? '' : hit?.outerHTML.slice(0, 120) ?? 'out of sight' }`,
  );
  expect(place.over, `what lies over the key: ${which}`).toBe("");
  expect(place.height).toBeGreaterThanOrEqual(44);
  await person.driver.actions().move({ x: place.x, y: place.y }).click().perform();
}

/** From the first test to the hand-over, whatever the foot's keys say. @param press presses the main key, or all tests good. */
async function home(person: Person, tag: string, press: (what: "main" | "all-good") => Promise<void>): Promise<string[]> {
  const said: string[] = [];
  for (let presses = 0; presses < 90; presses++) {
    const now = await standing(person);
    said.push(`${now.path.split("/").at(-1)}: ${now.key}`);
    if (now.path.endsWith("/return") && now.key.startsWith("Report")) return said;
    await press(now.all ? "all-good" : "main");
    const key = JSON.stringify(now);
    await person.driver
      .wait(async () => JSON.stringify(await standing(person)) !== key, 15_000)
      .catch(async () => {
        throw new Error(`Nothing came of a press at ${key}:\n${said.join("\n")}\n${await person.read()}`);
      });
    await writtenDown(person);
  }
  throw new Error(`90 presses and ${tag} is still here:\n${said.join("\n")}`);
}

const isReturned = (tag: string) => server.value<number>("SELECT closed_at IS NOT NULL FROM job WHERE tag = ?", tag) === 1;
const tagOn = async (person: Person) => /Z-\d{5}-\d/.exec(await person.read())![0];

/** Taken in by what is written on the page. */
async function takenIn(person: Person, serial: string): Promise<string> {
  await person.go("/counter");
  await person.type("Customer", "Jory Tamsin");
  await person.type("Model", "Marrowby Skerry 30");
  await person.type("Serial", serial);
  await person.type("Job", "service");
  await person.type("Level of service", "quick service");
  await person.type("Spending limit", "300");
  await person.press("Check in");
  await person.sees("Checked in as");
  return tagOn(person);
}

/** Keys of the foot that stand out of the window, under the block or under each other; and how much wider the page is than the window. */
const crowded = `const block = document.querySelector('.sheet-edge .corner-block')?.getBoundingClientRect();
  const keys = [...document.querySelectorAll('.sheet-edge .key')].map((key) => [key, key.getBoundingClientRect()]).filter(([, { width }]) => width > 0);
  return [
    ...keys.filter(([key, { right, top, bottom, height }]) => {
      const hit = document.elementFromPoint(right - 4, top + height / 2);
      return bottom > innerHeight + 1 || (block?.width && right > block.left + 1) || !hit || !key.contains(hit) || height > 84;
    }).map(([key]) => key.innerText.replace(/\\s+/g, ' ')),
    ...(document.documentElement.scrollWidth > innerWidth ? ['the page is ' + document.documentElement.scrollWidth + ' wide'] : []),
  ]`;

describe("the foot of a sheet", () => {
  it.each([
    { width: 1024, height: 600 },
    { width: 1920, height: 1080 },
  ])("has all its keys in sight and none under another at $width × $height", async (size) => {
    const person = await at(size);
    const tag = (n: number) => server.list<string>("SELECT tag FROM job WHERE closed_at IS NULL ORDER BY id")[n - 1]!;
    const stations = ["build", "clean", "find", "test", "return", "test", "strip"].map((station, i) => `/bench/${tag(i + 1)}/${station}`);
    const inLot = server.list<string>("SELECT tag FROM job WHERE lot_id IS NOT NULL AND station = 'test'")[0]!;
    for (const path of ["/", "/counter", "/bench", "/stores", ...stations, `/bench/${inLot}/test`]) {
      await person.go(path);
      expect(await person.driver.executeScript(crowded), path).toEqual([]);
    }
  });
});

describe("a whole job, from the counter to the hand-over", () => {
  it("by the keyboard alone", async () => {
    const person = await at();
    await person.go("/");
    await person.key("c");
    await person.sees("Owner and reel");
    await person.tabTo("Customer");
    await person.keys("Jory Tamsin");
    await person.driver.wait(
      async () => (await person.driver.executeScript("return document.querySelectorAll('[role=option]').length")) === 1,
      10_000,
    );
    await person.keys(Key.ENTER);
    await person.tabTo("Model");
    await person.keys("Skerry 30");
    await person.sees("Marrowby Skerry 30");
    await person.keys(Key.ENTER);
    await person.tabTo("Serial");
    await person.keys("MS30 90001");
    await person.tabTo("Job");
    await person.keys("service");
    await person.tabTo("Level of service");
    await person.keys("quick");
    await person.tabTo("Spending limit");
    await person.keys("300", Key.ENTER);
    await person.sees("Checked in as");
    const tag = await tagOn(person);
    await person.key("b");
    await person.sees("Which reel?");
    await person.tabTo("Scan or type the tag");
    await person.keys(tag, Key.ENTER);
    await person.sees("Test");
    const said = await home(person, tag, (what) => person.key(what === "main" ? " " : "a"));
    expect(isReturned(tag), said.join("\n")).toBe(true);
  });

  it("at 200 %: 1280 × 800 with everything twice as large", async () => {
    const person = await at({ width: 640, height: 400 });
    const tag = await takenIn(person, "MS30 90002");
    await person.go(`/bench/${tag}`);
    const said = await home(person, tag, (what) =>
      underThumb(person, what === "main" ? "one.matches('.key-main')" : "/^All \\d+ good/.test(one.innerText)"),
    );
    expect(isReturned(tag), said.join("\n")).toBe(true);
  });

  it("on a phone, with one thumb", async () => {
    const person = await at({ width: 390, height: 844 });
    const tag = await takenIn(person, "MS30 90003");
    await person.go(`/bench/${tag}`);
    const said = await home(person, tag, (what) =>
      underThumb(person, what === "main" ? "one.matches('.key-main')" : "/^All \\d+ good/.test(one.innerText)"),
    );
    expect(isReturned(tag), said.join("\n")).toBe(true);
  });
});
