import { join } from "node:path";
import Database from "better-sqlite3";
import { describe, expect, it } from "vitest";
import { atTheBench, type Person, type Server } from "./bench";

let server: Server;
let person: Person;
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});

/** Keeps the requests the page sends, so that one can be sent again to the letter. */
const listen = `
  if (!window.sent) {
    window.sent = [];
    const original = window.fetch;
    window.fetch = (url, options) => {
      if (options?.method === "POST") window.sent.push([String(url), { method: "POST", headers: { ...options.headers }, body: options.body }]);
      return original(url, options);
    };
  }`;
const sendAgain = `
  const done = arguments[arguments.length - 1];
  const [url, options] = window.sent[arguments[0]];
  fetch(url, options).then(async (answer) => done(answer.status + " " + await answer.text()), (error) => done(String(error)));`;

describe("a power cut in the middle of a strip", () => {
  const wells = () => server.value<number>("SELECT count(DISTINCT well) FROM tray_well WHERE job_id = 7");
  const parts = () => server.value<number>("SELECT count(*) FROM tray_well WHERE job_id = 7");
  const journal = () => server.value<number>("SELECT count(*) FROM journal WHERE job_id = 7 AND action = 'part-off'");

  it("loses nothing that was confirmed, and a press that was on its way is done once", async () => {
    await person.go("/bench/Z-00007-6/strip");
    await person.sees("into well 1");
    await person.driver.executeScript(listen);
    for (let well = 1; well <= 3; well++) {
      await person.key(" ");
      await person.sees(`into well ${well + 1}`);
    }
    await person.driver.wait(() => wells() === 3, 10_000);

    // The press leaves the page and the server dies under it; whether the commit was before or after is the machine's luck.
    await person.driver.executeScript("document.activeElement?.blur?.()");
    await person.driver.actions().sendKeys(" ").perform();
    await server.kill();
    expect(wells()).toBeGreaterThanOrEqual(3);
    await server.up();
    await person.sees("into well 5", 20_000); // the page sends the same press again by itself until it is answered
    await person.driver.wait(() => wells() === 4, 20_000);
    expect(journal()).toBe(parts());
    expect(server.value("PRAGMA integrity_check")).toBe("ok");
  });

  it("doubles nothing when an old press arrives again, byte for byte", async () => {
    const presses = await person.driver.executeScript<number>("return window.sent.length");
    expect(presses).toBeGreaterThanOrEqual(4);
    for (let i = 0; i < presses; i++) expect(await person.driver.executeAsyncScript<string>(sendAgain, i)).toMatch(/^200 /);
    expect(wells()).toBe(4);
    expect(journal()).toBe(parts());
  });

  it("shows the same tray after a reload and in a second window, and neither window doubles a part", async () => {
    await person.go("/bench/Z-00007-6/strip");
    await person.sees("into well 5");
    const first = await person.driver.getWindowHandle();
    await person.driver.switchTo().newWindow("tab");
    await person.go("/bench/Z-00007-6/strip");
    await person.key(" ");
    await person.driver.wait(() => wells() === 5, 10_000);
    await person.driver.switchTo().window(first);
    await person.key(" "); // this window still believes well 5 is free
    await person.sees("is already in well 5");
    expect(wells()).toBe(5);
  });
});

describe("data that a newer version wrote", () => {
  it("is left alone, and every page says why and what to do", async () => {
    await server.kill();
    const db = new Database(join(server.data, "zorbek.db"));
    db.prepare("INSERT INTO migration (name, checksum, at) VALUES ('0999-later.sql', 'x', 'y')").run();
    db.close();
    await server.up();
    for (const path of ["/", "/bench/Z-00007-6/strip", "/shop"]) {
      const page = await fetch(server.base + path).then((response) => response.text());
      expect(page, path).toContain("written by a newer Zorbek (0999-later.sql)");
      expect(page, path).toContain("Start the newer version");
    }
  });
});
