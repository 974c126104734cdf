import { beforeAll, describe, expect, it } from "vitest";
import { everyBuild, families } from "@/core/families/families";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import { benchWays, choicesOf, type WayId, wayIds } from "@/core/ways/ways";
import { setWay } from "@/data/bench/ways";
import { startModelOf } from "@/data/catalogue/built";
import { openJob } from "@/data/counter/open-job";
import { wholeService } from "./whole-service";
import { openWorkshop, plainJob, type Workshop } from "./workshop";

let shop: Workshop;
beforeAll(() => {
  shop = openWorkshop();
});
let letter = 0;
/** A model of a family in one build, under letters of its own. */
const modelOf = (family: FamilyId, chosen: Readonly<Record<string, string>>): string =>
  startModelOf(shop.ctx, { maker: "Own", name: `${family} ${++letter}`, family, prefix: `W${letter}` }, chosen).id;
let serial = 0;
const open = (modelId: string, depth: "full" | "quick" | "complaint" | "light") =>
  openJob(shop.ctx, plainJob({ modelId, serial: `EB ${++serial}`, kind: "service", depth })).id;

const depths = ["full", "quick", "light"] as const;

// EVERY_DEPTH=1 takes every build at every depth, in three times the time.
describe.each(familyIds)("%s", (family) => {
  it("goes from its first test to its return in every build without one refusal: as usual at every depth, otherwise at one, in turn", () => {
    for (const [i, { name, template }] of everyBuild(family).entries()) {
      const modelId = modelOf(family, template.chosen);
      for (const depth of i === 0 || process.env.EVERY_DEPTH ? depths : [depths[i % depths.length]!]) {
        const job = wholeService(shop, open(modelId, depth));
        expect(job.closedAt, `${name}, ${depth}`).not.toBeNull();
      }
    }
  });

  it("does so under every answer of every way of working", () => {
    const modelId = modelOf(family, families[family].chosen);
    const others = wayIds.filter((id): id is Exclude<WayId, "depth"> => id !== "depth");
    // Each answer stands in one of these jobs, beside the others' at its place.
    const rounds = Math.max(...others.map((way) => Object.keys(choicesOf(way)).length));
    for (let round = 1; round < rounds; round++) {
      const id = open(modelId, "full");
      const answers = others.map((way) => [way, Object.keys(choicesOf(way)).at(round) ?? Object.keys(choicesOf(way)).at(-1)!] as const);
      for (const [way, choice] of answers) setWay(shop.ctx, id, "job", way, choice);
      expect(
        wholeService(shop, id).closedAt,
        answers.map(([way, choice]) => `${benchWays[way].name}: ${choice}`).join("; "),
      ).not.toBeNull();
    }
  });
});
