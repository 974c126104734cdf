// npm run shots: takes the README's pictures of each main view, from a demo of its own, into docs/screenshots.
import { spawnSync } from "node:child_process";
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { buildApplication, choosePort, fail, fillDemo, installBrowser, installPackages, root, say, startServer } from "./setup.mjs";

installPackages();
installBrowser();
const { openBrowser } = await import("./browser.mjs");
if (!buildApplication()) fail("The build failed.");
const data = mkdtempSync(join(tmpdir(), "zorbek-shots-"));
fillDemo(data);
const { default: Database } = await import("better-sqlite3");
const db = new Database(join(data, "zorbek.db"), { readonly: true });
/** Numbers of the reels that hang here now, where nothing else ever happened (25 and 26 are visits of before); in the whole demo they came last. */
const here = Array.from({ length: 26 }, (_, i) => i + 4).filter((n) => n !== 25 && n !== 26);
const hanging = db.prepare("SELECT tag FROM (SELECT id, tag FROM job ORDER BY id DESC LIMIT ?) ORDER BY id").pluck().all(here.length);
const tag = (n) => hanging[here.indexOf(n)];
const mostMeasured = db
  .prepare(
    "SELECT reel_id FROM job JOIN measure ON measure.job_id = job.id GROUP BY reel_id ORDER BY count(DISTINCT job.id) DESC, count(*) DESC, reel_id LIMIT 1",
  )
  .pluck()
  .get();
const harbourLot = db.prepare("SELECT id FROM lot WHERE name LIKE 'Harbour%'").pluck().get();
const { child, address } = await startServer({ port: await choosePort(), data });
const folder = join(root, "docs", "screenshots");
const sheetFile = join(data, "heron-4.pdf");
spawnSync("node", ["node_modules/tsx/dist/cli.mjs", "scripts/example-sheet.ts", sheetFile], { cwd: root, stdio: "inherit" });

/** Name, address, what is pressed before the picture is taken, how long it takes, and a file that is brought in. */
const views = [
  ["rack", "/", "", 4000], // until the chances of its days are reckoned
  ["counter", "/counter"],
  [
    "test",
    `/bench/${tag(9)}/test`,
    "[...document.querySelectorAll('button')].find((b) => b.textContent.includes('Pull with the scale')).click()",
    4500,
  ],
  ["find", `/bench/${tag(6)}/find`],
  ["quote", `/bench/${tag(6)}/quote`],
  ["strip", `/bench/${tag(10)}/strip`],
  ["clean", `/bench/${tag(10)}/clean`],
  ["parts", `/bench/${tag(5)}/parts`],
  ["build", `/bench/${tag(4)}/build`],
  ["return", `/bench/${tag(8)}/return`],
  ["stores", "/stores"],
  ["library", "/library"],
  ["sheet", "/library", "", 8000, sheetFile], // read, its seats found and its page kept
  [
    "schematic",
    "/library/skerry-30",
    "const press = (words) => [...document.querySelectorAll('button')].find((b) => b.textContent.trim() === words).click(); press('Gear and drag stack'); setTimeout(() => document.querySelector('[aria-label=\"Look at Eared washer\"]').click(), 200)",
    900,
  ],
  ["gauges", `/gauges/washers?job=${tag(24)}`],
  ["figures", "/ledger/figures?from=2024-01-01"],
  ["ledger", `/ledger/reel/${mostMeasured}`],
  ["shop", "/shop"],
  ["lot", `/bench/lot/${harbourLot}`],
];
for (const old of readdirSync(folder))
  if (old.endsWith(".png") && !views.some(([name]) => `${name}.png` === old)) rmSync(join(folder, old));
const picturesThere =
  "return [...document.images].every((one) => one.complete || one.getBoundingClientRect().top > innerHeight || one.getBoundingClientRect().bottom < 0)";
const { driver, close } = await openBrowser();
try {
  for (const [name, path, act, wait, file] of views) {
    await driver.get(address + path);
    await new Promise((settle) => setTimeout(settle, 900));
    if (file) await driver.findElement({ css: 'input[type="file"][accept*="pdf"]' }).sendKeys(file);
    if (wait) {
      if (act) await driver.executeScript(act);
      await new Promise((settle) => setTimeout(settle, wait));
    }
    // A picture that is still on its way is no picture of the view.
    await driver.wait(() => driver.executeScript(picturesThere), 20_000);
    writeFileSync(join(folder, `${name}.png`), Buffer.from(await driver.takeScreenshot(), "base64"));
    say(`${name} ${path}`);
  }
} finally {
  await close();
  db.close();
  child.kill();
  rmSync(data, { recursive: true, force: true });
}
