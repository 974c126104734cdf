import type { Context } from "@/data/database/context";
import { openDatabase } from "@/data/database/database";
import { ensureFirstPerson } from "@/data/shop/people";
import type { Person, Server } from "./bench";

/** Work on a server's own data beside it, as a second program on the same file. */
export function onTheData<T>(server: Server, work: (ctx: Context) => T): T {
  const db = openDatabase(server.data);
  try {
    return db.transaction(() => work({ db, person: ensureFirstPerson(db), now: new Date().toISOString() })).immediate();
  } finally {
    db.close();
  }
}

/** Where the page is and what its main key says, read in one go and only once it stands still: a press must not land on the page after. */
async function standing(person: Person): Promise<{ path: string; key: string }> {
  const look = () =>
    person.driver.executeScript<string>(
      "return location.pathname + '|' + (document.querySelector('.key-main')?.innerText.replace(/\\s+/g, ' ') ?? '')",
    );
  let seen = await look();
  for (;;) {
    await person.rest(50);
    const again = await look();
    if (again === seen) break;
    seen = again;
  }
  const bar = seen.indexOf("|");
  return { path: seen.slice(0, bar), key: seen.slice(bar + 1) };
}

/** Until every press is written down: a page opened before that shows what was. */
export const writtenDown = (person: Person): Promise<unknown> =>
  person.driver.wait(
    () => person.driver.executeScript<boolean>("return !Object.keys(localStorage).some((key) => key.startsWith('zorbek-presses '))"),
    20_000,
  );

/** Takes off all that is to be opened, by the space bar: each press what the hands do as one. @returns the presses. */
export async function stripAll(person: Person): Promise<number> {
  for (let presses = 0; presses < 80; presses++) {
    const { path, key } = await standing(person);
    if (!path.endsWith("/strip") || key.startsWith("On to Clean")) {
      await writtenDown(person);
      return presses;
    }
    await person.space();
  }
  throw new Error(`It does not come apart. The page says:\n${await person.read()}`);
}

/** Every bath and every group by hand, all counted back, by the space bar. */
export async function cleanAll(person: Person): Promise<void> {
  for (let presses = 0; presses < 24; presses++) {
    const { path, key } = await standing(person);
    if (!path.endsWith("/clean") || /^On to (Parts|Build)/.test(key)) return;
    await person.space();
  }
  throw new Error(`It does not get clean. The page says:\n${await person.read()}`);
}

/** The way back by the space bar. @param at what else is done when a step is reached, before its press; true when it was done there. @returns the presses. */
export async function buildAll(person: Person, at: (heading: string) => Promise<boolean> = async () => false): Promise<number> {
  for (let presses = 0; presses < 140; presses++) {
    if ((await person.mainKey()).startsWith("On to Prove")) {
      await writtenDown(person);
      return presses;
    }
    const heading = await person.driver.executeScript<string>("return document.querySelector('h1')?.innerText ?? ''");
    if (!(await at(heading))) await person.space();
  }
  throw new Error(`It does not go together. The page says:\n${await person.read()}`);
}
