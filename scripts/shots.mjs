// npm run shots: takes the README's pictures of each main view, from a demo of its own, into docs/screenshots.
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
const { child, address } = await startServer({ port: await choosePort(), data });
const folder = join(root, "docs", "screenshots");

/** Name, address, and what is pressed before the picture is taken. */
const views = [
  ["rack", "/"],
  ["counter", "/counter"],
  [
    "test",
    "/bench/Z-00009-2/test",
    "[...document.querySelectorAll('button')].find((b) => b.textContent.includes('Pull with the scale')).click()",
    4500,
  ],
  ["find", "/bench/Z-00006-8/find"],
  ["quote", "/bench/Z-00006-8/quote"],
  ["strip", "/bench/Z-00010-1/strip"],
  ["clean", "/bench/Z-00010-1/clean"],
  ["parts", "/bench/Z-00005-9/parts"],
  ["build", "/bench/Z-00004-5/build"],
  ["prove", "/bench/Z-00008-4/prove"],
  ["return", "/bench/Z-00008-4/return"],
  ["stores", "/stores"],
  ["library", "/library"],
  [
    "schematic",
    "/library/skerry-30",
    "const press = (words) => [...document.querySelectorAll('button')].find((b) => b.textContent.trim() === words).click(); press('Gear and drag stack'); setTimeout(() => document.querySelector('[aria-label=\"Look at Eared washer\"]').click(), 200)",
    900,
  ],
  ["gauges", "/gauges/washers?job=Z-00024-1"],
  ["ledger", "/ledger/reel/2"],
  ["shop", "/shop"],
  ["knowledge", "/shop/knowledge"],
  ["lot", "/bench/lot/1"],
];
for (const old of readdirSync(folder))
  if (old.endsWith(".png") && !views.some(([name]) => `${name}.png` === old)) rmSync(join(folder, old));
const { driver, close } = await openBrowser();
try {
  for (const [name, path, act, wait] of views) {
    await driver.get(address + path);
    await new Promise((settle) => setTimeout(settle, 900));
    if (act) {
      await driver.executeScript(act);
      await new Promise((settle) => setTimeout(settle, wait));
    }
    writeFileSync(join(folder, `${name}.png`), Buffer.from(await driver.takeScreenshot(), "base64"));
    say(`${name} ${path}`);
  }
} finally {
  await close();
  child.kill();
  rmSync(data, { recursive: true, force: true });
}
