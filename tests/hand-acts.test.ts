import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { allBuildActs } from "@/core/hands/build-acts";
import { allStripActs } from "@/core/hands/strip-acts";
import { shutsIn } from "@/core/teardown/oil-window";
import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import { getBuild } from "@/data/bench/build";
import { listOilPoints } from "@/data/bench/oil-points";
import { openingOf, stripGuideOf } from "@/data/bench/opening";
import { takeParts } from "@/data/bench/tray";
import { startModelOf } from "@/data/catalogue/built";
import { type NewJob, openJob } from "@/data/counter/open-job";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { intake, openWorkshop, plainJob } from "./workshop";

/** Acts of the hands of whole services and of jobs that open one place, as docs/hand-acts.md lists them (common practice, written down by hand before any press was counted). */
const listed: { readonly family: FamilyId; readonly complaint: ComplaintId; acts: number }[] = [];
const services: { readonly family: FamilyId; readonly depth: "full" | "quick"; acts: number }[] = [];
{
  let family = "";
  for (const line of readFileSync("docs/hand-acts.md", "utf8").split("\n")) {
    if (line.startsWith("## ")) family = line.slice(3).trim();
    const service = /^(Full|Quick), (\w+): (.*)$/.exec(line);
    if (service) {
      if (service[2] === "off") services.push({ family: family as FamilyId, depth: service[1] === "Full" ? "full" : "quick", acts: 0 });
      services.at(-1)!.acts += service[3]!.split(" · ").length;
    }
    const found = /^Only ([\w-]+), (off|back): (.*)$/.exec(line);
    if (!found) continue;
    const acts = found[3]!.split(" · ").length;
    if (found[2] === "off") listed.push({ family: family as FamilyId, complaint: found[1] as ComplaintId, acts });
    else listed.at(-1)!.acts += acts;
  }
}

const shop = openWorkshop();
let models = 0;
type Wish = Pick<NewJob, "kind" | "depth" | "intake">;

/** Presses from the first at Strip to the last at Build: the space bar alone, cleaning by one press, oil before a place is shut in. */
function pressesOf(family: FamilyId, wish: Wish): { presses: number; oilLeft: boolean } {
  const modelId = startModelOf(shop.ctx, { maker: "Own", name: `${family} ${++models}`, family, prefix: `PA${models}` }, {}).id;
  const { id } = openJob(shop.ctx, plainJob({ modelId, serial: `PA ${models}`, ...wish }));
  const job = findJob(shop.db, id)!;
  const version = machineOf(shop.db, job);
  const strip = allStripActs(stripGuideOf(shop.db, job, version, openingOf(shop.db, job, version)));
  for (const { positionIds } of strip) takeParts(shop.ctx, id, positionIds);
  const { steps, batches } = getBuild(shop.db, job, version);
  const build = allBuildActs(steps, batches, version.partTypes);
  const all = listOilPoints(shop.db, job, version);
  let points = all.filter(({ behind }) => behind.length);
  let oil = 0;
  for (const { operationIds } of build) {
    if (!points.some(({ behind }) => shutsIn(behind, steps, operationIds))) continue;
    oil++;
    points = [];
  }
  // Cleaning by hand is a press.
  return { presses: strip.length + (strip.length ? 1 : 0) + build.length + oil, oilLeft: oil === 0 && all.length > 0 };
}

const counted = listed.map((one) => ({
  ...one,
  presses: pressesOf(one.family, { kind: "repair", depth: "complaint", intake: intake({ complaints: [one.complaint] }) }).presses,
}));

describe("a whole service", () => {
  it("is listed full and quick for every family", () => {
    expect(services.map(({ family, depth }) => `${family} ${depth}`).sort()).toEqual(
      familyIds.flatMap((family) => [`${family} full`, `${family} quick`]).sort(),
    );
  });

  it.each(services)("$family, $depth: no more presses than the acts of the hand and a tenth", ({ family, depth, acts }) => {
    const { presses, oilLeft } = pressesOf(family, { kind: "service", depth, intake: intake({ complaints: ["service"] }) });
    expect(presses + (oilLeft ? 1 : 0)).toBeLessThanOrEqual(acts * 1.1);
  });
});

describe("a job that opens one place", () => {
  it("is listed three times a family", () => {
    for (const family of familyIds) expect(listed.filter((one) => one.family === family).length, family).toBe(3);
  });

  it.each(counted)("$family, $complaint: no more presses than the acts of the hand, cleaning and a tenth", ({ acts, presses }) => {
    expect(presses).toBeLessThanOrEqual(Math.ceil((acts + 1) * 1.1));
  });

  it("needs in the middle no more presses than acts: a rise above a twentieth is a fault", () => {
    const ratios = counted.map(({ acts, presses }) => presses / (acts + 1)).sort((a, b) => a - b);
    expect(ratios[Math.floor(ratios.length / 2)]!).toBeLessThanOrEqual(1.05);
  });
});
