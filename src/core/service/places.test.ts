import { describe, expect, it } from "vitest";
import { families, familyWith } from "@/core/families/families";
import type { FamilyTemplate } from "@/core/families/template";
import { planOpening } from "@/core/teardown/opening";
import { type ComplaintId, complaints } from "@/core/vocabulary/counter-lists";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import { depthOf, reachedBy } from "./depth";

const nothing = { whole: new Set<string>(), seats: new Set<string>(), looked: new Set<string>() };
/** "head-screw-*" for a ring: all of it, or none. */
const all = ({ anatomy }: FamilyTemplate, names: string) =>
  names
    .split(" ")
    .filter(Boolean)
    .map((name) => {
      const ring = name.endsWith("*") ? name.slice(0, -1) : null;
      const seats = anatomy.positions.filter(({ id }) => (ring ? id.startsWith(ring) : id === name)).map(({ id }) => id);
      if (!seats.length) throw new Error(`no seat ${name}`);
      return [name, seats] as const;
    });
function offAndStays(template: FamilyTemplate, off: ReadonlySet<string>, gone: string, stays: string) {
  for (const [name, seats] of all(template, gone))
    expect(
      seats.filter((id) => !off.has(id)),
      `${name} off`,
    ).toEqual([]);
  for (const [name, seats] of all(template, stays))
    expect(
      seats.filter((id) => off.has(id)),
      `${name} stays`,
    ).toEqual([]);
}

type Built = Readonly<Record<string, string>>;
type Way = readonly [FamilyId, piece: string, inTheWay: string, stays: string, built?: Built];
type Lead = readonly [FamilyId, ComplaintId, opened: string, stays: string, built?: Built];

// Common practice: what stands in the way of a piece, and what does not.
const ways: readonly Way[] = [
  ["star-drag-bridge", "friction-mid", "lock-screw handle star head-screw-* head-plate bridge-screw-*", "tail-screw-* spool click-tongue"],
  ["star-drag-bridge", "eccentric", "handle star head-plate bridge-screw-* jack yoke pinion", "main-gear friction-mid tail-plate"],
  ["star-drag-bridge", "dog", "handle star head-plate bridge-screw-*", "main-gear tail-plate spool"],
  ["star-drag-bridge", "click-tongue", "tail-screw-* tail-plate", "head-screw-* handle spool cap"],
  ["star-drag-bridge", "click-gear", "head-screw-* spool", "tail-screw-* handle"],
  ["star-drag-bridge", "head-bearing", "head-screw-* spool", "tail-screw-* handle click-gear"],
  ["star-drag-bridge", "cap", "", "tail-screw-* tail-plate head-screw-*"],
  ["star-drag-clutch", "wall-bearing", "tail-screw-* spool wall-clip", "cover-screw-* handle pinion main-gear"],
  ["star-drag-clutch", "tail-bearing", "tail-screw-* tail-plate bearing-retainer", "cover-screw-* handle spool"],
  ["star-drag-clutch", "friction-mid", "handle star cover-screw-* head-plate clutch-collar", "tail-screw-* spool main-gear"],
  ["star-drag-clutch", "eccentric", "handle star cover-screw-* head-plate", "clutch-collar main-gear tail-plate"],
  ["star-drag-clutch", "foot-bearing", "head-plate main-gear ratchet retainer gear-shaft", "tail-bearing click-tongue"],
  ["lever-drag", "click-tongue", "plate-screw-* spool", "handle lever main-gear drag-washer drag-cap foot-nut-front"],
  ["lever-drag", "click-tongue", "knob-preset lever cam quadrant plate-screw-* spool", "handle drag-cap", { "ring-over": "over" }],
  ["lever-drag", "click-tongue", "head-plate", "spool", { click: "head" }],
  ["lever-drag", "drag-washer", "plate-screw-* spool drag-cap", "spool-bearing-tail click-tongue main-gear"],
  ["lever-drag", "main-gear", "handle lever plate-screw-* head-plate pinion", "drag-cap click-tongue"],
  ["lever-drag", "cam", "knob-preset", "plate-screw-* handle lever"],
  ["lever-drag", "tail-bearing", "end-cover end-clip", "plate-screw-* lever spool", { "far-end": "cover" }],
  ["lever-drag", "foot-nut-front", "", "plate-screw-* lever spool"],
  ["baitcaster-low-profile", "worm", "gear-plate gear-screw-* worm-clip pawl-cap pawl", "main-gear"],
  ["baitcaster-low-profile", "pawl", "pawl-cap", "gear-plate side-plate spool"],
  ["baitcaster-low-profile", "friction", "side-plate spool handle star tension-cap gear-screw-* gear-plate", "worm brake-drum"],
  ["baitcaster-low-profile", "cap-bearing", "tension-cap", "gear-plate side-plate handle"],
  ["baitcaster-low-profile", "plate-bearing", "side-screw-* side-plate plate-keeper", "gear-plate handle spool"],
  ["baitcaster-low-profile", "spool-bearing", "side-screw-* side-plate spool", "gear-plate handle star"],
  ["baitcaster-round", "click-tongue", "side-screw-* side-plate", "gear-plate handle spool"],
  ["spinning", "roller-bearing", "roller-screw", "arm-screw bail-spring rotor spool far-cover"],
  ["spinning", "bail-spring", "arm-screw bail-arm trip-cover", "rotor rotor-nut spool side-cover"],
  ["spinning", "friction-mid", "drag-knob drag-clip", "rotor spool side-cover"],
  ["spinning", "clutch", "drag-knob spool rotor-nut rotor clutch-plate", "side-cover main-shaft drive-gear handle-cap"],
  ["spinning", "drive-gear", "side-cover cover-screw-*", "rotor spool bail-arm"],
  ["spinning", "pinion", "rotor clutch main-shaft drive-gear", "bail-spring friction-mid"],
  ["spinning", "click-tongue", "drag-knob spool", "friction-mid rotor"],
  ["spinning-sealed-bail-less", "drive-gear", "handle side-cover gear-cover gear-retainer", "knurled-ring friction-mid"],
  ["spinning-sealed-bail-less", "main-seal", "spool rotor-screw-* rotor knurled-ring", "gear-cover gear-retainer"],
  ["spinning-sealed-bail-less", "block-screw", "gear-cover handle", "gear-retainer drive-gear knurled-ring"],
  ["spincast", "pick-up-pin", "front-cover cone-nut cone", "back-cover spool handle"],
  ["spincast", "fibre-lower", "front-cover cone spool-clip spool", "back-cover handle drive-gear"],
  ["spincast", "drive-gear", "handle back-cover hinge-screw", "cone front-cover spool"],
  ["spincast", "button", "hinge-screw", "cone spool handle"],
  ["centrepin", "rear-bearing", "drum-screw drum rear-clip", "check-pawl front-bearing knob-front"],
  ["centrepin", "check-pawl", "drum-screw drum check-switch", "rear-clip spindle"],
  ["fly", "friction", "spool-cap spool drag-clip", "clutch drag-knob click-tongue"],
  ["fly", "clutch", "spool-cap spool outer-bearing", "drag-clip drag-knob"],
];

describe("what stands in the way of a piece", () => {
  it.each(ways.map(([family, piece, inTheWay, stays, built = {}]) => ({ family, piece, inTheWay, stays, built })))(
    "$family: $piece is behind $inTheWay, and $stays stays",
    ({ family, piece, inTheWay, stays, built }) => {
      const template = familyWith(family, built);
      const { off } = planOpening(template.anatomy, { ...nothing, seats: new Set([piece]) });
      offAndStays(template, off, inTheWay, stays);
    },
  );
});

const openedFor = (template: FamilyTemplate, felt: readonly ComplaintId[]) => {
  const types = new Map(template.parts.map((part) => [part.id, part]));
  const { family, anatomy } = template;
  const depth = depthOf(anatomy, types, {
    family,
    depth: "complaint",
    faults: [],
    complaints: felt,
    sections: [],
    newParts: [],
    said: new Map(),
  });
  return { depth, ...planOpening(anatomy, reachedBy(anatomy, depth)) };
};

// Common practice: complaint → places, by the shortest way.
const leads: readonly Lead[] = [
  ["star-drag-bridge", "click-weak", "tail-plate click-tongue click-spring click-button", "spool head-screw-* handle cap click-gear"],
  ["star-drag-bridge", "short-spin", "spool head-bearing tail-bearing cap", "handle star click-tongue main-gear"],
  ["star-drag-bridge", "short-spin", "spool head-screw-*", "head-bush handle main-gear", { "head-support": "bush" }],
  ["star-drag-bridge", "drag-weak", "friction-mid keyed-low tension-lower", "main-gear tail-plate spool"],
  ["star-drag-bridge", "slips-back", "dog dog-spring", "tail-plate spool"],
  ["star-drag-bridge", "no-gear", "jack yoke eccentric yoke-spring-front", "tail-plate main-gear"],
  ["star-drag-bridge", "wobbles", "handle handle-spacer lock-screw", "star head-screw-* tail-screw-*"],
  ["star-drag-clutch", "click-weak", "tail-plate click-tongue", "cover-screw-* handle spool tail-bearing"],
  ["star-drag-clutch", "short-spin", "tail-plate spool tail-bearing wall-bearing", "cover-screw-* handle main-gear"],
  ["star-drag-clutch", "slips-back", "head-plate clutch-collar", "dog main-gear tail-plate"],
  ["lever-drag", "click-weak", "spool click-tongue plate-screw-*", "lever drag-cap drag-washer main-gear spool-bearing-tail"],
  ["lever-drag", "no-gear", "knob-preset cam lever", "plate-screw-* spool drag-cap main-gear"],
  ["lever-drag", "drag-jerky", "drag-washer pressure-plate plate-bearing", "click-tongue main-gear spool-bearing-tail"],
  ["lever-drag", "slips-back", "dog dog-spring", "drag-cap click-tongue"],
  ["baitcaster-low-profile", "short-spin", "spool spool-bearing plate-bearing cap-bearing tension-cap", "gear-plate handle star main-gear"],
  ["baitcaster-low-profile", "drag-weak", "friction keyed gear-plate", "worm brake-drum"],
  ["baitcaster-low-profile", "whirrs", "plate-bearing spool-bearing", "gear-plate handle"],
  ["spinning", "line-twists", "roller roller-bearing roller-screw", "bail-arm arm-screw rotor spool"],
  ["spinning", "bail-hangs", "bail-arm bail-spring trip-lever", "rotor spool side-cover"],
  ["spinning", "slips-back", "rotor clutch clutch-sleeve", "side-cover drive-gear"],
  ["spinning", "slips-back", "side-cover drive-gear dog", "rotor", { "anti-reverse": "body" }],
  ["spinning", "gritty", "side-cover drive-gear gear-bearing-outer oscillation-block", "rotor bail-arm friction-mid"],
  ["spinning", "drag-jerky", "drag-knob friction-mid", "rotor side-cover spool"],
  ["spinning", "wobbles", "handle", "rotor side-cover spool"],
  ["spinning-sealed-bail-less", "drag-weak", "drag-knob friction-mid", "rotor gear-cover handle"],
  ["spincast", "drops-line", "front-cover cone", "spool back-cover handle"],
  ["spincast", "drag-weak", "cone spool fibre-lower copper-upper", "back-cover handle drive-gear"],
  ["spincast", "slips-back", "back-cover hair-spring", "cone spool"],
  ["spincast", "stiff", "handle back-cover drive-gear", ""],
  ["centrepin", "short-spin", "drum rear-bearing front-bearing", "check-pawl spindle foot"],
  ["centrepin", "click-weak", "drum check-pawl check-spring", "rear-clip front-bearing"],
  ["fly", "drag-weak", "spool friction drag-plate", "clutch"],
  ["fly", "slips-back", "spool clutch", "hub-sleeve friction"],
  ["spinning-fluid-sealed", "drag-jerky", "drag-knob friction-mid", "rotor spool two-ear unit-cap"],
];

describe("where a complaint leads", () => {
  it.each(leads.map(([family, complaint, opened, stays, built = {}]) => ({ family, complaint, opened, stays, built })))(
    "$family, $complaint: $opened opened, $stays left",
    ({ family, complaint, opened, stays, built }) => {
      const template = familyWith(family, built);
      const { off } = openedFor(template, [complaint]);
      offAndStays(template, off, opened, stays);
    },
  );

  it("never opens more than a full service, gives each opened assembly the complaint as its reason, and takes no part that stays", () => {
    for (const family of familyIds) {
      const template = families[family];
      const stays = template.anatomy.positions.filter(({ stays, inPlace }) => stays || inPlace).map(({ id }) => id);
      const serviced = template.anatomy.assemblies.filter(({ stays }) => !stays).map(({ id }) => id);
      const full = planOpening(template.anatomy, { ...nothing, whole: new Set(serviced) }).off;
      for (const complaint of Object.keys(complaints) as ComplaintId[]) {
        const { depth, off } = openedFor(template, [complaint]);
        expect(
          [...off].filter((id) => !full.has(id)),
          `${family}, ${complaint}`,
        ).toEqual([]);
        expect(new Set(depth.open.values()).size, `${family}, ${complaint}`).toBeLessThan(2);
        for (const id of stays) expect(off.has(id), `${family}, ${complaint}: ${id}`).toBe(false);
      }
    }
  });
});

// Common practice: what is lifted in ten minutes, and no more.
const rounds: readonly (readonly [FamilyId, lifted: string, left: string])[] = [
  ["star-drag-bridge", "", "head-screw-* tail-screw-* handle"],
  ["lever-drag", "plate-screw-* spool", "drag-cap lever handle click-tongue"],
  ["baitcaster-low-profile", "side-screw-* side-plate spool", "gear-plate handle worm"],
  ["spinning", "drag-knob spool handle handle-cap", "rotor side-cover roller-screw drag-clip"],
  ["spincast", "front-cover", "cone back-cover handle"],
  ["centrepin", "", "drum-screw"],
  ["fly", "spool-cap spool", "drag-clip drag-knob"],
];

describe("a ten-minute round", () => {
  it.each(rounds)("of a %s lifts %s and leaves %s", (family, lifted, left) => {
    const template = families[family];
    const types = new Map(template.parts.map((part) => [part.id, part]));
    const depth = depthOf(template.anatomy, types, {
      family,
      depth: "round",
      faults: [],
      complaints: ["drag-weak"],
      sections: [],
      newParts: [],
      said: new Map(),
    });
    // Nothing is serviced: what is lifted is wiped and put back.
    expect(depth.open.size).toBe(0);
    offAndStays(template, planOpening(template.anatomy, reachedBy(template.anatomy, depth)).off, lifted, left);
  });
});
