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
import { openJob } from "@/data/counter/open-job";
import { findJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { intake, openWorkshop, plainJob } from "./workshop";

/** Acts of the hands of jobs that open one place, as docs/hand-acts.md lists them (common practice, written down by hand before any press was counted). */
const listed: { readonly family: FamilyId; readonly complaint: ComplaintId; acts: number }[] = [];
{
  let family = "";
  for (const line of readFileSync("docs/hand-acts.md", "utf8").split("\n")) {
    if (line.startsWith("## ")) family = line.slice(3).trim();
    const found = /^Only ([\w-]+), (off|back): (.*)$/.exec(line);
    if (!found) continue;
    const acts = found[3]!.split(" · ").length;
    if (found[2] === "off") listed.push({ family: family as FamilyId, complaint: found[1] as ComplaintId, acts });
    else listed.at(-1)!.acts += acts;
  }
}

const shop = openWorkshop();
let models = 0;
/** Presses from the first at Strip to the last at Build: the space bar alone, cleaning by one press, oil before a place is shut in. */
function pressesOf(family: FamilyId, complaint: ComplaintId): number {
  const modelId = startModelOf(shop.ctx, { maker: "Own", name: `${family} ${complaint}`, family, prefix: `PA${++models}` }, {}).id;
  const felt = intake({ complaints: [complaint] });
  const { id } = openJob(
    shop.ctx,
    plainJob({ modelId, serial: `PA ${complaint} ${family}`, kind: "repair", depth: "complaint", intake: felt }),
  );
  const job = findJob(shop.db, id)!;
  const version = machineOf(shop.db, job);
  const strip = allStripActs(stripGuideOf(shop.db, job, version, openingOf(shop.db, job, version)));
  for (const { positionIds } of strip) takeParts(shop.ctx, id, positionIds);
  const { steps, batches } = getBuild(shop.db, job, version);
  const build = allBuildActs(steps, batches, version.partTypes);
  let points = listOilPoints(shop.db, job, version).filter(({ behind }) => behind.length);
  let oil = 0;
  for (const { operationIds } of build) {
    if (!points.some(({ behind }) => shutsIn(behind, steps, operationIds))) continue;
    oil++;
    points = [];
  }
  // Cleaning by hand and on to Build are a press each.
  return strip.length + (strip.length ? 1 : 0) + build.length + oil;
}

const counted = listed.map((one) => ({ ...one, presses: pressesOf(one.family, one.complaint) }));

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
