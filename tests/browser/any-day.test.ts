import { request } from "node:http";
import { join } from "node:path";
import { pathToFileURL } from "node:url";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { type Chance, chanceOf } from "../any-job/chance";
import { ask } from "../attack/ask";
import { doorsOfBuild } from "../attack/doors";
import { Server } from "./bench";

// `npm run faults` gives its own: a seed, and many more of each.
const seed = Number(process.env.FAULTS_FROM ?? 1);
const isLong = process.env.FAULTS_KILLS !== undefined;

let server: Server;
beforeAll(async () => {
  server = await Server.start();
});
afterAll(async () => {
  await server?.stop();
});

const bodyOf = (pressId: string, words: string) => JSON.stringify({ pressId, act: "extra-piece", input: { jobId: 7, words } });

/** Sends a press. @param breakMs when the line is cut from this side; null for not at all. @returns whether the answer came and says that it is done. */
const send = (body: string, breakMs: number | null): Promise<boolean> =>
  new Promise((settle) => {
    const asked = request(
      `${server.base}/api/press`,
      { method: "POST", headers: { origin: server.base, "content-type": "application/json", "content-length": Buffer.byteLength(body) } },
      (response) => {
        const parts: Buffer[] = [];
        response.on("data", (part: Buffer) => parts.push(part));
        response.on("error", () => settle(false));
        response.on("close", () => settle(Buffer.concat(parts).toString().startsWith('{"ok":true')));
      },
    );
    asked.on("error", () => settle(false));
    if (breakMs !== null) setTimeout(() => asked.destroy(), breakMs);
    asked.end(body);
  });

/** As a page does: the same press, until it hears that it is done. */
async function untilDone(body: string, chance: Chance, broken: number): Promise<void> {
  for (let tries = 0; tries < 200; tries++) {
    if (await send(body, chance.yes(broken) ? chance.number() * 25 : null)) return;
    await new Promise((wait) => setTimeout(wait, 20));
  }
  throw new Error(`never answered: ${body}`);
}
const pieces = (like: string) => server.list<string>(`SELECT words FROM extra_piece WHERE words LIKE '${like}%' ORDER BY words`);

describe("any day", () => {
  it("loses no press and doubles none, with 35 at work and half of the lines cut", async () => {
    const [clients, each] = [35, isLong ? 20 : 4];
    const words = (client: number, n: number) => `reset ${client}-${n}`;
    await Promise.all(
      Array.from({ length: clients }, async (_, client) => {
        const chance = chanceOf(seed * 1000 + client);
        for (let n = 0; n < each; n++) await untilDone(bodyOf(`press-reset-${client}-${n}`, words(client, n)), chance, 0.5);
      }),
    );
    const all = Array.from({ length: clients }, (_, client) => Array.from({ length: each }, (_, n) => words(client, n))).flat();
    expect(pieces("reset")).toEqual(all.sort());
  });

  it("is killed in the middle of presses, and each is done once", async () => {
    const chance = chanceOf(seed);
    const kills = isLong ? 20 : 2;
    for (let kill = 0; kill < kills; kill++) {
      const on = Array.from({ length: 5 }, (_, n) => bodyOf(`press-killed-${kill}-${n}`, `killed ${kill}-${n}`));
      const sent = on.map((body) => send(body, null));
      await new Promise((wait) => setTimeout(wait, chance.number() * 60));
      await server.kill();
      await Promise.all(sent);
      await server.up();
      for (const body of on) await untilDone(body, chance, 0);
    }
    expect(pieces("killed")).toHaveLength(kills * 5);
    expect(server.value("PRAGMA integrity_check")).toBe("ok");
  });

  it("goes on with a clock a day ahead, a day back again, and over the change to summer time", async () => {
    const chance = chanceOf(seed);
    const spring = Date.parse("2027-03-28T00:59:57Z");
    const days = [
      { name: "a day ahead", by: 86_400_000, zone: "UTC" },
      { name: "back again", by: 0, zone: "UTC" },
      { name: "before summer time", by: spring - Date.now(), zone: "Europe/Berlin" },
      { name: "in summer time", by: spring + 3_600_000 - Date.now(), zone: "Europe/Berlin" },
    ];
    const pages = doorsOfBuild().pages.filter((page) => !page.includes("[") && page !== "/sign-in");
    for (const { name, by, zone } of days) {
      await server.kill();
      server.env = {
        ...{ ZORBEK_TEST_CLOCK: String(by), TZ: zone },
        NODE_OPTIONS: `--import ${pathToFileURL(join(process.cwd(), "tests/faults/shifted-clock.mjs")).href}`,
      };
      await server.up();
      for (const page of pages) expect((await ask(server.base + page)).status, `${page}, ${name}`).toBe(200);
      await untilDone(bodyOf(`press-clock-${name}`, `clock ${name}`), chance, 0);
      const rack = (await ask(server.base)).body;
      expect(rack.includes("Set the clock"), name).toBe(name === "back again");
      const ahead = JSON.parse((await ask(`${server.base}/api/promise`)).body) as { days: { day: string }[] };
      const first = Date.parse(ahead.days[0]!.day);
      // One day after the other, none twice and none left out, also where a day has 23 hours.
      expect(ahead.days.map(({ day }) => (Date.parse(day) - first) / 86_400_000)).toEqual(ahead.days.map((_, i) => i));
    }
    expect(server.said.filter((line) => line.includes('"reference":'))).toEqual([]);
    // The order of what was done is the order it was done in, whatever the clock said.
    const order = server.list<string>("SELECT words FROM extra_piece WHERE words LIKE 'clock%' ORDER BY id");
    expect(order).toEqual(days.map(({ name }) => `clock ${name}`));
  });
});
