// Headless Chromium from Debian's packages, for tests and pictures. Each browser gets a fresh profile.
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Builder, logging } from "selenium-webdriver";
import chrome from "selenium-webdriver/chrome.js";

/**
 * @param camera a file of pictures (Motion JPEG) that the browser takes for its camera. @param sound a WAV it hears over and over for its microphone.
 * @param trusting takes a certificate nobody signed.
 */
export async function openBrowser({ width = 1280, height = 800, camera = "", sound = "", trusting = false } = {}) {
  const profile = mkdtempSync(join(tmpdir(), "zorbek-chromium-"));
  const options = new chrome.Options();
  options.setChromeBinaryPath("/usr/bin/chromium");
  options.addArguments(
    "--headless",
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
    "--hide-scrollbars",
    `--user-data-dir=${profile}`,
    `--window-size=${width},${height}`,
    ...(camera || sound ? ["--use-fake-ui-for-media-stream", "--use-fake-device-for-media-stream"] : []),
    ...(camera ? [`--use-file-for-fake-video-capture=${camera}`] : []),
    ...(sound ? [`--use-file-for-fake-audio-capture=${sound}`] : []),
  );
  if (trusting) options.setAcceptInsecureCerts(true);
  const logs = new logging.Preferences();
  logs.setLevel(logging.Type.BROWSER, logging.Level.ALL); // said beside a test that failed
  options.setLoggingPrefs(logs);
  const driver = await new Builder()
    .forBrowser("chrome")
    .setChromeOptions(options)
    .setChromeService(new chrome.ServiceBuilder("/usr/bin/chromedriver"))
    .build();
  // The window size counts the frame; the page is what is looked at.
  await driver.sendDevToolsCommand("Emulation.setDeviceMetricsOverride", { width, height, deviceScaleFactor: 1, mobile: width < 700 });
  return {
    driver,
    close: async () => {
      await driver.quit();
      rmSync(profile, { recursive: true, force: true });
    },
  };
}
