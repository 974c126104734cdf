import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { answer, openWorkshop } from "#tests/workshop";
import { journalSayings } from "@/core/journal/journal-sentence";
import { takePart } from "@/data/bench/tray";
import { settleFault } from "@/data/diagnosis/diagnosis";
import { listJournalSentences } from "./journal-sentences";

/** Every act some file of the data floor writes into the journal. */
const written = readdirSync("src/data", { recursive: true, encoding: "utf8" })
  .filter((file) => /\.ts$/.test(file) && !/\.test\./.test(file))
  .flatMap((file) => [...readFileSync(`src/data/${file}`, "utf8").matchAll(/writeJournal\(\s*ctx,([^{]*)\{/g)])
  .flatMap(([, first]) => [...first!.replace(/[=!]==? "[^"]*"/g, "").matchAll(/"([a-z-]+)"/g)].map(([, action]) => action!));

describe("the journal", () => {
  it("has a sentence for every act that is written into it, and none for another", () => {
    expect(new Set(written).size).toBeGreaterThan(70);
    expect([...new Set(written)].filter((action) => !(action in journalSayings))).toEqual([]);
    expect(Object.keys(journalSayings).filter((action) => !written.includes(action))).toEqual([]);
  });

  it("speaks in sentences with names", () => {
    const shop = openWorkshop();
    const id = shop.open({ serial: "B7" });
    answer(shop.ctx, id, "turning", "bad", 21);
    settleFault(shop.ctx, id, "drag-worn", true);
    takePart(shop.ctx, id, "handle-nut");
    const said = listJournalSentences(shop.db, { jobId: id, limit: 50 }).map(({ sentence }) => sentence.replace(/^\S+ /, ""));
    expect(said).toEqual(
      expect.arrayContaining([
        "checked in Marrowby Skerry 30, serial B7.",
        "tested Turning in gear before service: bad.",
        "proved “Friction washers worn thin”.",
        expect.stringMatching(/^took off Handle nut \(well 1\)\.$/),
        "moved the job to Strip.",
      ]),
    );
    expect(listJournalSentences(shop.db, { limit: 99 }).filter(({ sentence }) => /undefined|\bsk-|null/.test(sentence))).toEqual([]);
  });
});
