import { mkdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { afterEach } from "vitest";
import { peopleAtScreens } from "./bench";

/** What is kept beside a failure's message; scripts/test.mjs names the folder and says what lies in it. */
const folder = process.env.ZORBEK_FAILURES;

// A browser test that failed leaves what each open screen showed, and what its console said: it may pass when it is run alone.
afterEach(async ({ task }) => {
  if (!folder || task.result?.state !== "fail") return;
  mkdirSync(folder, { recursive: true });
  const name = `${task.file.name}-${task.name}`.replace(/[^a-z0-9]+/gi, "-").slice(-120);
  let screen = 0;
  for (const person of peopleAtScreens) {
    screen++;
    const path = join(folder, `${name}-${screen}`);
    const { picture, consoleLines, address } = await person.leftBehind();
    if (picture) writeFileSync(`${path}.png`, Buffer.from(picture, "base64"));
    writeFileSync(`${path}.json`, JSON.stringify({ test: task.name, file: task.file.name, address, consoleLines }));
  }
});
