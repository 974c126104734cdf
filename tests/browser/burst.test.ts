import { describe, expect, it } from "vitest";
import { plainJob } from "#tests/workshop";
import { openJob } from "@/data/counter/open-job";
import { atTheBench, type Person, type Server } from "./bench";
import { onTheData } from "./stations";

let server: Server;
let person: Person;
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});

/** How often; ZORBEK_BURSTS=20 runs twenty. */
const runs = Number(process.env.ZORBEK_BURSTS ?? 2);
const presses = 60;

const job = (serial: string) =>
  onTheData(server, (ctx) => openJob(ctx, plainJob({ modelId: "skerry-30", serial, kind: "service", depth: "full" })));

describe("a burst of sixty presses", () => {
  for (let run = 1; run <= runs; run++)
    it(`run ${run}: a lost connection and a server that dies within it, and each press is done once, in order`, async () => {
      const { tag } = job(`BURST ${run}`);
      await person.go(`/bench/${tag}/strip`);
      // Taking a part off and putting it back, thirty times: every press depends on the one before it.
      const key = async (n: number) =>
        person.driver
          .actions()
          .sendKeys(n % 2 ? "u" : " ")
          .perform();
      const cut = 5 + ((run * 7) % 30); // the last of it, 24 later, is within the sixty
      for (let n = 0; n < presses; n++) {
        await key(n);
        await person.rest(65); // longer than a switch's bounce, far shorter than an answer takes
        if (n === cut) await person.offline(true);
        if (n === cut + 12) await person.offline(false);
        if (n === cut + 20) await server.kill();
        if (n === cut + 24) void server.up().catch(() => undefined);
      }
      await person.driver.wait(
        async () =>
          (await person.driver.executeScript("return Object.keys(localStorage).filter((k) => k.startsWith('zorbek-presses')).length")) ===
          0,
        60_000,
      );
      const actions = server.list<string>(
        `SELECT action FROM journal WHERE action IN ('part-off', 'part-off-undone') AND job_id = (SELECT id FROM job WHERE tag = '${tag}') ORDER BY id`,
      );
      // One act takes several parts; each act's rows stand together.
      const acts = actions.filter((action, i) => action !== actions[i - 1]);
      expect(acts).toHaveLength(presses);
      expect(acts.every((action, i) => action === (i % 2 ? "part-off-undone" : "part-off"))).toBe(true);
      expect(server.value("SELECT count(*) FROM tray_well WHERE job_id = (SELECT id FROM job WHERE tag = ?)", tag)).toBe(0);
      await person.sees("into well 1");
      expect(await person.seesNot("was not done")).toBe(true);
    });
});

describe("a hurried hand at Test", () => {
  it("answers seven tests faster than the bench does, one of them while it is down, and each answer is for its own test", async () => {
    const { tag } = job("HURRY 1");
    await person.go(`/bench/${tag}/test`);
    const answers = () =>
      server.list<string>(
        `SELECT verdict FROM observation WHERE phase = 'before' AND job_id = (SELECT id FROM job WHERE tag = '${tag}') ORDER BY id`,
      );
    const hand = async (...keys: string[]) => {
      for (const key of keys) {
        await person.driver.actions().sendKeys(key).perform();
        await person.rest(75);
      }
    };
    await hand("d", " ", "x");
    await server.kill();
    await hand("d", " ");
    await server.up();
    await hand("n", "d");
    await person.driver.wait(() => answers().length === 6, 30_000);
    expect(answers()).toEqual(["doubtful", "good", "bad", "doubtful", "good", "doubtful"]);
    // Another test opened while the reason of one left out is on its way stays open, and takes what is typed there.
    await person.type("Why it was left out", "no time");
    await person.press("Side play");
    await person.type("Reading, if you took one (mm)", "0,4");
    await person.key("d");
    await person.driver.wait(() => answers().length === 7, 10_000);
    const value = "SELECT value FROM observation WHERE test_id = 'side-play' AND job_id = (SELECT id FROM job WHERE tag = ?)";
    expect(server.value(value, tag)).toBe(0.4);
    expect(server.list("SELECT reason FROM skipped_test")).toContain("no time");
  });
});
