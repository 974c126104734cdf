import { expect, test } from "vitest";
import { everyBuild } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { commonKnowledge } from "./knowledge";
import { openings } from "./look-table";
import { knowledgeOn, mayHave, signOn } from "./signs-on-reel";

/** Words that name a thing, and the parts of which one must be there for the word to be right. Source: common practice. */
const named: readonly (readonly [RegExp, readonly string[]])[] = [
  [/free spool/i, ["eccentric", "free-spool-lever", "clutch-cam", "thumb-bar", "cam"]],
  [/\bin gear\b|\binto gear\b|engage/i, ["eccentric", "clutch-cam", "yoke", "cam"]],
  [/\bstar\b/i, ["star"]],
  [/throw the lever|free-spool lever|thumb bar/i, ["free-spool-lever", "thumb-bar", "eccentric"]],
  [/\brotor\b/i, ["rotor"]],
  [/\bbail\b/i, ["bail-wire", "bail-arm"]],
  [/plate screws/i, ["plate-screw"]],
  [/tail plate/i, ["tail-plate"]],
  [/click button/i, ["click-button"]],
  [/\bteeth\b/i, ["main-gear", "click-gear"]],
  [/\bgears?\b(?! of)/i, ["main-gear", "click-gear", "worm-gear"]],
  [/level wind|\bworm\b/i, ["worm", "line-guide"]],
  [/eccentric/i, ["eccentric"]],
];

const reels = familyIds.flatMap((family) =>
  everyBuild(family).map(({ name, template }) => {
    const types = new Map(template.parts.map((part) => [part.id, part.role as string]));
    const roles = new Set(template.anatomy.positions.map(({ partTypeId }) => types.get(partTypeId)!));
    return { reel: `${family}, ${name}`, roles };
  }),
);

test("there are reels to try", () => expect(reels.length).toBeGreaterThan(60));

test("what is asked and named on a reel names only what the reel has", () => {
  const told = new Set<string>();
  for (const { reel, roles } of reels) {
    const { looks, findings, links, faults } = knowledgeOn(commonKnowledge, roles);
    const possible = new Set(faults.filter((fault) => mayHave(fault, roles)).map(({ id }) => id));
    const reachable = new Set(links.filter(({ fault }) => possible.has(fault)).map(({ finding }) => finding));
    const names = new Map(findings.map(({ id, name }) => [id, name]));
    for (const sign of reachable) {
      const look = looks.get(sign);
      if (!look) continue;
      const said = [look.how, names.get(sign)!, look.openName ?? openings[look.open].name].join(" · ");
      for (const [word, parts] of named)
        if (word.test(said) && !parts.some((role) => roles.has(role))) told.add(`${reel}: ${sign}: ${said} (${word})`);
    }
    for (const { id, name, feltAs, tellBy, remedy } of faults.filter((fault) => possible.has(fault.id))) {
      const said = [name, feltAs, tellBy, remedy.words].join(" · ");
      for (const [word, parts] of named)
        if (word.test(said) && !parts.some((role) => roles.has(role))) told.add(`${reel}: ${id}: ${said} (${word})`);
    }
  }
  expect([...told]).toEqual([]);
});

test("every fault that a reel can have keeps a look that shows it by itself", () => {
  const told = new Set<string>();
  for (const { reel, roles } of reels) {
    const { looks, links, faults } = knowledgeOn(commonKnowledge, roles);
    for (const fault of faults.filter((one) => mayHave(one, roles)))
      if (!links.some((link) => link.fault === fault.id && link.strength === "always" && looks.has(link.finding)))
        told.add(`${reel}: ${fault.id}`);
  }
  expect([...told]).toEqual([]);
});

test("on a drum without gears stiff winding is the spool's own", () => {
  const fly = new Set(["spool", "friction-washer", "spindle", "spool-bearing"]);
  expect(signOn("stiff-in-gear", fly)).toBe("stiff-free-spool");
  expect(signOn("gritty-in-gear", fly)).toBe("gritty-free-spool");
  expect(signOn("stiff-in-gear", new Set(["main-gear"]))).toBe("stiff-in-gear");
});

test("spoken of the same reel again nothing changes", () => {
  const roles = new Set(["spool", "spindle"]);
  const once = knowledgeOn(commonKnowledge, roles);
  expect(knowledgeOn(once, roles)).toBe(once);
});
