import { expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { askForPart } from "@/data/bench/fit-part";
import { expectedNext, takeParts } from "@/data/bench/tray";
import { settleFault } from "@/data/diagnosis/diagnosis";
import { findJob } from "@/data/jobs/jobs";
import { setBin } from "@/data/parts/stock";
import { recordAnswer } from "@/data/quote/quotes";

it("a seized reel is opened to the end without a limit for its repair; what it needs is ordered after a yes", () => {
  const shop = openWorkshop();
  const id = shop.open({ serial: "OO 1", depth: "opening", limitMinor: null });
  const off = expectedNext(shop.db, findJob(shop.db, id)!);
  takeParts(shop.ctx, id, off.slice(0, 6));
  settleFault(shop.ctx, id, "gears-worn", true);
  takeParts(shop.ctx, id, off.slice(6));
  expect(expectedNext(shop.db, findJob(shop.db, id)!)).toEqual([]);
  setBin(shop.ctx, "sk-main-gear", "A1", 0, 1);
  expect(refusal(() => askForPart(shop.ctx, id, "main-gear")).code).toBe("ask-first");
  recordAnswer(shop.ctx, id, { accepted: true, words: "go on" });
  askForPart(shop.ctx, id, "main-gear");
});
