import { writeFileSync } from "node:fs";
import { openBrowser } from "/work/main/scripts/browser.mjs";

const [w, h, dark, ...rest] = process.argv.slice(2);
const { driver, close } = await openBrowser({ width: Number(w), height: Number(h) });
try {
  for (const one of rest) {
    const [path, name] = one.split("=");
    await driver.get(`http://127.0.0.1:3456${path}`);
    if (dark === "dim") await driver.executeScript("document.cookie='palette=dim; path=/'; document.documentElement.dataset.palette='dim'");
    await driver.sleep(1500);
    writeFileSync(`/tmp/w/p-${name}.png`, Buffer.from(await driver.takeScreenshot(), "base64"));
  }
} finally {
  await close();
}
