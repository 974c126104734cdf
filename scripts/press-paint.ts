import { plainJob } from "#tests/workshop";
import { openJob } from "@/data/counter/open-job";
import { openDatabase } from "@/data/database/database";
import { ensureFirstPerson } from "@/data/shop/people";
import { openBrowser } from "./browser.mjs";
import { choosePort, fillDemo, startServer } from "./setup.mjs";

export interface PressPaint {
  /** From the key's own time to the frame after the screen has changed, milliseconds, the shortest first. */
  readonly presses: readonly number[];
  /** The same for a key that does nothing: to the frame after it. */
  readonly empty: readonly number[];
}

/** Notes for every key when it was pressed, and the first frame in which the main act says something else; for a key without an act the next frame. */
const listen = `
  window.presses = []; window.empty = [];
  const said = () => (document.querySelector('.key-main')?.innerText ?? '') + '|' + (document.querySelector('h1')?.innerText ?? '');
  window.addEventListener('keydown', (event) => {
    const at = event.timeStamp, before = said();
    if (event.key !== ' ') return requestAnimationFrame(() => requestAnimationFrame((now) => window.empty.push(performance.now() - at)));
    const look = () => {
      if (said() === before) return requestAnimationFrame(look);
      requestAnimationFrame(() => window.presses.push(performance.now() - at));
    };
    requestAnimationFrame(look);
  }, { capture: true });`;

/** Takes a reel apart in the real browser, a press every third of a second, and times each press to the screen. */
export async function pressPaint(data: string): Promise<PressPaint> {
  fillDemo(data, ["--small"]);
  const db = openDatabase(data);
  const tags = db.transaction(() =>
    ["PAINT 1", "PAINT 2", "PAINT 3"].map(
      (serial) =>
        openJob(
          { db, person: ensureFirstPerson(db), now: new Date().toISOString() },
          plainJob({ modelId: "skerry-30", serial, kind: "service", depth: "full" }),
        ).tag,
    ),
  )();
  db.close();
  const { child, address } = await startServer({ port: await choosePort(undefined), data });
  const { driver, close } = await openBrowser();
  const rest = (ms: number) => new Promise((settle) => setTimeout(settle, ms));
  const sorted = (times: number[]) => times.sort((a, b) => a - b);
  const presses: number[] = [];
  const empty: number[] = [];
  try {
    for (const tag of tags) {
      await driver.get(`${address}/bench/${tag}/strip`);
      await rest(1500);
      await driver.executeScript(listen);
      for (let n = 0; n < 16; n++) {
        await driver.actions().sendKeys(" ").perform();
        await rest(330);
        await driver.actions().sendKeys("\u0060").perform();
        await rest(80);
      }
      presses.push(...(await driver.executeScript<number[]>("return window.presses")));
      empty.push(...(await driver.executeScript<number[]>("return window.empty")));
    }
  } finally {
    await close();
    child.kill();
  }
  return { presses: sorted(presses), empty: sorted(empty) };
}
