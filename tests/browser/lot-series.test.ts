import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { openLot } from "@/data/counter/lots";
import { atTheBench, Person, type Server } from "./bench";
import { buildAll, cleanAll, onTheData, stripAll } from "./stations";

let server: Server;
let person: Person;
const folder = mkdtempSync(join(tmpdir(), "zorbek-series-"));
atTheBench((startedServer, startedPerson) => {
  server = startedServer;
  person = startedPerson;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const reels = 34;

describe("a lot of thirty-four: three reels finished in series", () => {
  let lotId = 0;
  const tags: string[] = [];
  const stationOf = (tag: string) => server.value<string>("SELECT station FROM job WHERE tag = ?", tag);

  it("is taken across one station at a time, the next of the lot a key away", async () => {
    const modelId = server.value<string>("SELECT id FROM model WHERE family = 'centrepin' ORDER BY id");
    const opened = onTheData(server, (ctx) =>
      openLot(ctx, {
        name: "Lake ferry, spring",
        customer: { id: 1 },
        modelId,
        water: "fresh",
        tripsPerYear: 60,
        life: ["fleet"],
        dragWish: "shop",
        limitMinor: 10_000,
        promisedOn: new Date().toISOString().slice(0, 10),
        rows: Array.from({ length: reels }, (_, i) => ({
          serial: `LK ${200 + i}`,
          mark: `pin ${i + 1}`,
          complaint: "",
          condition: "",
          depth: "",
          drag: "",
        })),
      }),
    );
    if ("faults" in opened) throw new Error(JSON.stringify(opened.faults));
    lotId = opened.id;
    tags.push(...opened.tags.slice(0, 3));
    for (const [station, work] of [
      ["strip", stripAll],
      ["clean", cleanAll],
      ["build", buildAll],
    ] as const) {
      await person.go(`/bench/${tags[0]}/${station}`);
      for (let i = 0; i < 3; i++) {
        await person.sees(tags[i]!);
        await work(person);
        await person.sees(`Next of the lot: pin ${i + 2}`);
        if (i < 2) {
          await person.key("j");
          await person.driver.wait(async () => (await person.driver.getCurrentUrl()).includes(`${tags[i + 1]}/${station}`), 15_000);
          await person.sees(tags[i + 1]!);
          await person.settled();
        }
      }
    }
    expect(tags.map(stationOf)).toEqual(["build", "build", "build"]);
  });

  it("is proved and hung ready reel by reel, and returned in one act", async () => {
    for (const tag of tags) {
      await person.go(`/bench/${tag}/prove`);
      for (let tests = 0; tests < 12 && !(await person.read()).includes("On to Return"); tests++) {
        await person.press("Good");
        await person.settled();
      }
      await person.press("On to Return");
      await person.press("Tested: ready to collect");
      await person.sees("Return it");
    }
    await person.go(`/bench/lot/${lotId}`);
    await person.sees("Hand back the 3 that are ready");
    await person.type("Collected by", "Odo of the ferry");
    await person.type("Paid", "on invoice");
    await person.press("Hand back the 3 that are ready");
    await person.sees(`3 returned, ${reels - 3} still here.`);
    await person.sees("The first 2 took");
    expect(server.value("SELECT count(*) FROM job WHERE lot_id = ? AND closed_at IS NOT NULL AND paid_by = 'invoice'", lotId)).toBe(3);
  });

  it("has a sheet that another program reads: every reel with its mark, the three finished with their readings", async () => {
    const path = join(folder, "lot.pdf");
    writeFileSync(path, Buffer.from(await (await fetch(`${server.base}/bench/lot/${lotId}/report.pdf`)).arrayBuffer()));
    const text = execFileSync("pdftotext", ["-layout", path, "-"], { encoding: "utf8" }).replace(/\s+/g, " ");
    expect(text).toContain(`3 of ${reels} finished.`);
    for (let i = 1; i <= reels; i++) expect(text).toContain(`pin ${i}, serial LK${199 + i}`);
    for (const tag of tags) expect(text).toContain(tag);
    expect(text.match(/returned/g)).toHaveLength(3);
  });

  it("keeps next, picture and undo within reach of a thumb on a phone", async () => {
    const phone = await Person.at(server, { width: 390, height: 844 });
    try {
      const next = server.value<string>("SELECT tag FROM job WHERE lot_id = ? AND closed_at IS NULL ORDER BY id", lotId);
      await phone.go(`/bench/${next}/strip`);
      await phone.space();
      for (const words of ["Undo", "into well", "Picture"]) {
        const [top, bottom, width] = await phone.driver.executeScript<number[]>(
          "const key = [...document.querySelectorAll('.sheet-edge button')].find((one) => one.innerText.includes(arguments[0])); const box = key.getBoundingClientRect(); return [box.top, box.bottom, box.width]",
          words,
        );
        // The lower half of a phone held in one hand.
        expect(top, words).toBeGreaterThan(420);
        expect(bottom, words).toBeLessThanOrEqual(844);
        expect(width, words).toBeGreaterThanOrEqual(56);
      }
      expect(await phone.driver.executeScript("return document.documentElement.scrollWidth <= 390")).toBe(true);
    } finally {
      await phone.close();
    }
  });
});
