import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { plainJob } from "#tests/workshop";
import { families } from "@/core/families/families";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import { addPartType } from "@/data/catalogue/part-types";
import { addModel } from "@/data/catalogue/write-model";
import { openJob } from "@/data/counter/open-job";
import { setBin } from "@/data/parts/stock";
import { atTheBench, type Person, type Server } from "./bench";
import { onTheData } from "./stations";

let server: Server;
let person: Person;
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});

/** A frame of each kind, and the reel whose seals are used once; tests/hand-acts.test.ts counts every family by the same acts. */
const inTheBrowser: readonly FamilyId[] = ["star-drag-bridge", "baitcaster-low-profile", "spinning-sealed-bail-less", "fly"];

/** The acts of a pair of hands, as docs/hand-acts.md lists them (common practice, written down by hand). */
const listed = new Map<string, number>();
{
  let family = "";
  for (const line of readFileSync("docs/hand-acts.md", "utf8").split("\n")) {
    if (line.startsWith("## ")) family = line.slice(3).trim();
    const found = /^(Full|Quick), \w+: (.*)$/.exec(line);
    if (found) {
      const key = `${family} ${found[1]!.toLowerCase()}`;
      listed.set(key, (listed.get(key) ?? 0) + found[2]!.split(" · ").length);
    }
  }
}

const service = (family: FamilyId, depth: "full" | "quick"): string =>
  onTheData(server, (ctx) => {
    const modelId = `hands-${family}`;
    if (!ctx.db.prepare("SELECT 1 FROM model WHERE id = ?").get(modelId)) {
      const { anatomy, parts } = families[family];
      const own = (id: string) => `h${familyIds.indexOf(family)}-${id}`;
      for (const part of parts) addPartType(ctx, { ...part, id: own(part.id), number: own(part.id) });
      // Seals that are used once lie new in the drawer.
      const once = new Set(anatomy.positions.filter(({ onceOnly }) => onceOnly).map(({ partTypeId }) => partTypeId));
      for (const partTypeId of once) setBin(ctx, own(partTypeId), "S1", 8, 1);
      const positions = anatomy.positions.map((position) => ({ ...position, partTypeId: own(position.partTypeId) }));
      addModel(ctx, { id: modelId, maker: "Hands", name: family, family }, { lineRadiusMm: 20, anatomy: { ...anatomy, positions } });
    }
    return openJob(ctx, plainJob({ modelId, serial: `${family} ${depth}`, kind: "service", depth })).tag;
  });

/** What each press was, for the words of a failure. */
let pressed: string[] = [];

/** The space bar again and again, from Strip until Build has nothing more to do. @returns how often. */
async function bySpace(tag: string): Promise<number> {
  await person.go(`/bench/${tag}/strip`);
  const said = `return location.pathname + '|' + (document.querySelector('.key-main')?.innerText ?? '') + '|' + (document.querySelector('h1')?.innerText ?? '')
    + '|' + (document.querySelector('[aria-label="Steps of this act"]')?.innerText ?? '')`;
  const now = () => person.driver.executeScript<string>(said);
  pressed = [];
  for (let presses = 0; presses < 90; presses++) {
    const before = await now();
    if (before.includes("/build") && before.includes("On to Prove")) return presses;
    pressed.push(before.split("|").slice(0, 3).join(" | "));
    await person.driver.actions().sendKeys(" ").perform();
    await person.driver
      .wait(async () => (await now().catch(() => before)) !== before, 10_000, undefined, 25)
      .catch(async () => {
        throw new Error(`Nothing came of the space bar at "${before}". The page says:\n${await person.read()}`);
      });
    // It goes on to the next station by itself.
    if (/On to (Clean|Build)/.test(await now())) await person.driver.wait(async () => !/On to (Clean|Build)/.test(await now()), 10_000);
    // A page that has just come takes keys once it is taken over; a switch's bounce counts once.
    await person.rest((await now()).split("|")[0] === before.split("|")[0] ? 70 : 450);
  }
  throw new Error(`It takes more than 90 presses. The page says:\n${await person.read()}`);
}

describe("presses from the first at Strip to the last at Build", () => {
  for (const family of inTheBrowser)
    it(`${family}: no more than the acts of the hand and a tenth, full and quick`, async () => {
      for (const depth of ["full", "quick"] as const) {
        const acts = listed.get(`${family} ${depth}`)!;
        const tag = service(family, depth);
        const presses = await bySpace(tag);
        expect(presses, `${family}, ${depth}: ${presses} presses for ${acts} acts:\n${pressed.join("\n")}`).toBeLessThanOrEqual(acts * 1.1);
        const count = (sql: string) => server.value<number>(`${sql} AND job_id = (SELECT id FROM job WHERE tag = ?)`, tag);
        await person.driver.wait(() => count("SELECT count(*) FROM oil_point WHERE 1") > 0 || depth === "full", 5000);
        // Everything clean and back in, every check passed.
        expect(count("SELECT count(*) FROM tray_well WHERE cleaned_at IS NULL")).toBe(
          // A fluid-sealed clutch stays sealed: nothing of it is washed.
          family === "spinning-fluid-sealed" && depth === "full" ? 8 : 0,
        );
        const notIn =
          "SELECT count(*) FROM tray_well WHERE NOT EXISTS (SELECT 1 FROM build_step WHERE build_step.job_id = tray_well.job_id AND operation_id = 'place-' || position_id AND state = 'done')";
        await person.driver.wait(() => count(notIn) === 0, 5000, "parts are still in the tray");
      }
    });
});
