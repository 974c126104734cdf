import { describe, expect, it } from "vitest";
import { placeOperationId } from "@/core/anatomy/types";
import { commonKnowledge } from "@/core/diagnosis/knowledge";
import { batchesOf } from "@/core/hands/batches";
import { buildOrder } from "@/core/teardown/build-order";
import { removalOrder } from "@/core/teardown/removal-order";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import { families, familyWith } from "./families";
import type { FamilyTemplate } from "./template";

/** What a family's template must get right. Source of every row: common practice. */
type Fact =
  /** Seats that are there. */
  | { readonly seats: readonly string[] }
  /** Parts go in one after the other. */
  | { readonly goesIn: readonly string[] }
  /** What is said at a seat: how it lies, what goes wrong, what to beware of. */
  | { readonly at: string; readonly says: RegExp }
  | { readonly at: string; readonly product: string }
  | { readonly at: string; readonly oilPort: true }
  | { readonly at: string; readonly stays: true }
  /** A check by its words, after some seats and before others. */
  | { readonly gate: RegExp; readonly after?: readonly string[]; readonly before?: readonly string[] }
  /** An act by its words. */
  | { readonly act: RegExp; readonly after?: readonly string[]; readonly before?: readonly string[] }
  /** Something that can be wrong with it. */
  | { readonly fault: RegExp }
  /** Hands take these as one. */
  | { readonly asOne: readonly string[] };

type Row = readonly [line: string, fact: Fact, built?: Readonly<Record<string, string>>];

function holds({ anatomy, parts }: FamilyTemplate, fact: Fact): void {
  const seat = (id: string) => anatomy.positions.find((position) => position.id === id);
  const built = buildOrder(anatomy, removalOrder(anatomy));
  if (!built.ok) throw new Error(built.message);
  const steps = built.value.steps.map(({ operation }) => operation);
  const at = (id: string) => steps.findIndex((operation) => operation.id === placeOperationId(id));
  if ("seats" in fact) for (const id of fact.seats) expect(seat(id), id).toBeDefined();
  if ("goesIn" in fact) {
    const order = fact.goesIn.map(at);
    expect(
      order.every((place) => place >= 0),
      fact.goesIn.join(", "),
    ).toBe(true);
    expect(order, fact.goesIn.join(", ")).toEqual([...order].sort((a, b) => a - b));
  }
  if ("says" in fact) {
    const { orientation, trap, caution, hole, lubricant } = seat(fact.at)!;
    expect([orientation, trap, caution, hole, lubricant?.why].filter(Boolean).join(" | "), fact.at).toMatch(fact.says);
  }
  if ("product" in fact) expect(seat(fact.at)?.lubricant?.product, fact.at).toBe(fact.product);
  if ("oilPort" in fact) expect(seat(fact.at)?.oilPort, fact.at).toBeTruthy();
  if ("stays" in fact) expect(seat(fact.at)?.stays, fact.at).toBe(true);
  const words = "gate" in fact ? fact.gate : "act" in fact ? fact.act : null;
  if (words) {
    const act = steps.findIndex((operation) => words.test(operation.words) && ("gate" in fact ? operation.kind === "gate" : true));
    expect(act, String(words)).toBeGreaterThanOrEqual(0);
    const { after = [], before = [] } = fact as { after?: readonly string[]; before?: readonly string[] };
    for (const id of after) expect(at(id), `${id} before ${words}`).toBeLessThan(act);
    for (const id of before) expect(at(id), `${words} before ${id}`).toBeGreaterThan(act);
  }
  if ("fault" in fact) {
    const roles = new Set(parts.map(({ role }) => role));
    const able = commonKnowledge.faults.filter(({ needs }) => needs === undefined || roles.has(needs));
    expect(able.map(({ name, remedy }) => `${name}: ${remedy.words}`).join(" | ")).toMatch(fact.fault);
  }
  if ("asOne" in fact) {
    const batches = batchesOf(anatomy, new Map(parts.map((part) => [part.id, part])));
    const [first = ""] = fact.asOne;
    expect([...(batches.find(({ positionIds }) => positionIds.includes(first))?.positionIds ?? [])].sort()).toEqual([...fact.asOne].sort());
  }
}

// biome-ignore format: one fact a line, read as a table
const facts: Readonly<Record<FamilyId, readonly Row[]>> = {
  "star-drag-bridge": [
    ["plates crack behind the rear screws", { act: /crack behind/, after: ["head-screw-rear"] }],
    ["star backed off, the handle is not pried", { at: "handle", says: /star/i }],
    ["override switch only where it is", { seats: ["override"] }, { override: "switch" }],
    ["a spongy lever has a tired spring", { fault: /eccentric.*spring|lever.*spring/i }],
    ["a side adjuster creeps out", { fault: /side play|adjuster/i }],
    ["faint click: its tongue", { fault: /click tongue/i }],
    ["gate: bridge on, forward and not back", { gate: /turns forward and not back/, after: ["bridge-screw-low-rear"], before: ["head-screw-top"] }],
    ["gate: yoke up and down, no gap", { gate: /throws the yoke up and down, no gap/, after: ["pinion", "lever"], before: ["head-screw-top"] }],
    ["gate: star free to locked", { gate: /free to locked/, after: ["star"], before: ["handle-spacer"] }],
    ["gate: with the handle tight the star moves", { gate: /star still moves/, after: ["handle-nut"], before: ["lock-screw"] }],
    ["gate: spins free, side play barely there", { gate: /spins free; side play is barely there/, after: ["spool", "head-screw-rear"] }],
    ["gate: click both ways", { gate: /click speaks both ways/, after: ["click-spring", "spool"] }],
    ["plates drawn down with the cap backed off", { at: "cap", says: /Backed off/i }],
    ["screws first bite, then crosswise", { act: /Head plate screws: first bite, then crosswise/, after: ["head-screw-top", "head-screw-front", "head-screw-rear"] }],
    ["nut indexed to its lock screw", { act: /next flat at the lock screw/, after: ["handle-nut"], before: ["lock-screw"] }],
    ["handle nut by hand, flat to flat", { at: "handle-nut", says: /by hand/ }],
    ["spring flies: hand cupped", { at: "dog-spring", says: /cup|flies/i }],
    ["A1 handle: nut after handle, lock screw last", { goesIn: ["handle", "handle-nut", "lock-screw"] }],
    ["A8 knob with its washer", { seats: ["knob", "knob-washer"] }],
    ["a bar reel's foot has its own screws", { seats: ["foot-screw-front", "foot-screw-rear"] }, { ring: "three" }],
    ["SB1 four long into the posts, two short into the foot, at each plate", { seats: ["head-screw-low", "head-screw-foot-front", "head-screw-foot-rear", "tail-screw-low", "tail-screw-foot-front", "tail-screw-foot-rear"] }],
    ["A8 knob gets its drops from outside", { at: "knob", oilPort: true }],
    ["A10 a friction washer under the gear", { at: "under-gear-washer", product: "drag grease" }, { "under-gear": "friction" }],
    ["A10 a plastic washer under the gear", { seats: ["under-gear-washer"] }, { "under-gear": "plastic" }],
    ["A11 plate screws know their hole", { at: "head-screw-top", says: /post 1/ }],
    ["B1 coil spring: dog, then spring", { goesIn: ["ratchet", "dog", "dog-spring", "under-gear-washer"] }],
    ["B1 wire spring: spring, then dog", { goesIn: ["dog-spring", "dog", "under-gear-washer"] }, { "dog-spring": "wire" }],
    ["B1 wire spring snaps", { at: "dog", says: /snaps/ }, { "dog-spring": "wire" }],
    ["B1 coil inside the dog does not fly", { at: "dog-spring", says: /does not fly/ }, { "dog-spring": "inside" }],
    ["B1 coil inside the dog on its stud", { at: "dog-spring", says: /stud/ }, { "dog-spring": "inside" }],
    ["B2 the yoke's springs first, yoke and pinion over them", { goesIn: ["yoke-spring-front", "yoke-spring-rear", "yoke", "pinion"] }],
    ["B3 sleeve bearing with its clip", { goesIn: ["sleeve-bearing", "bearing-clip"] }, { "sleeve-seat": "bearing" }],
    ["B3 flat side of the clip first", { at: "bearing-clip", says: /flat side in first/ }, { "sleeve-seat": "bearing" }],
    ["B3 the one that freezes", { at: "sleeve-bearing", says: /freezes|Frozen/ }, { "sleeve-seat": "bearing" }],
    ["B3 two tension washers face each other", { at: "tension-upper", says: /facing/ }],
    ["B3 one tension washer, cup up", { at: "tension-upper", says: /up/i }, { tension: "one" }],
    ["B3 three: up, up, down", { goesIn: ["tension-lower", "tension-middle", "tension-upper"] }, { tension: "three" }],
    ["B3 magnet brake", { at: "brake-magnet", says: /implants/ }, { brake: "magnets" }],
    ["B3 override switch", { seats: ["override"] }, { override: "switch" }],
    ["B3 locating pin and trim ring over hidden screws", { goesIn: ["locating-pin", "head-screw-top", "trim-ring"] }, { plates: "trim" }],
    ["B4 nothing that gums behind the eccentric", { at: "eccentric", product: "light oil" }],
    ["B5 the sleeve stays on its pin", { at: "sleeve-pin", stays: true }],
    ["B6 plate drawn down with the free spool released", { act: /lever free/, before: ["head-screw-top", "head-screw-front", "head-screw-rear"] }],
    ["gate: the dog before the gear covers it", { gate: /dog clicks/, after: ["dog-spring", "ratchet"], before: ["under-gear-washer"] }],
  ],
  "star-drag-clutch": [
    ["ratchet square to the shaft", { at: "ratchet", says: /square/ }],
    ["last metal thick, convex side up", { at: "keyed-high", says: /convex|thick/ }],
    ["retainer on its pins", { at: "retainer", says: /pins/ }],
    ["locating pin may drop out", { at: "locating-pin", says: /drop/ }, { plates: "trim", "gear-carrier": "bridge" }],
    ["collar free of pits", { at: "clutch-collar", says: /pit/ }],
    ["pitted clutch sleeve slips", { fault: /clutch/i }],
    ["gate: spins free, side play barely there", { gate: /side play is barely there/, after: ["spool"] }],
    ["gate: star free to locked", { gate: /free to locked/, after: ["star"], before: ["handle-spacer"] }],
    ["B2 yoke and pinion before the gear, their springs after it", { goesIn: ["yoke", "pinion", "main-gear", "yoke-spring-front", "yoke-spring-rear"] }],
    ["B2 the springs leave first, with their screws", { asOne: ["yoke-spring-front", "yoke-spring-rear", "bridge-screw-top-front", "bridge-screw-top-rear"] }, { "gear-carrier": "bridge" }],
    ["SC2 the spool leaves through the tail, cover shut", { asOne: ["spool", "click-gear"] }],
    ["SC4 frame bearing, foot bearing, shaft, retainer, ratchet", { goesIn: ["foot-bearing", "gear-shaft", "retainer", "ratchet", "main-gear", "clutch-collar", "head-end-bearing", "tension-lower"] }],
    ["SC4a jack below the yoke", { goesIn: ["jack", "yoke", "pinion", "main-gear", "yoke-spring-front"] }],
    ["SC7 the shaft alone under a finger", { gate: /spins alone under a finger/, after: ["gear-shaft"], before: ["ratchet"] }],
    ["SC7 lever to and fro before a cover screw", { gate: /no gap all round/, before: ["cover-screw-top-front", "cover-screw-low-rear"] }],
    ["SC1b dust cover, retainer on two ears", { goesIn: ["tail-bearing", "dust-cover", "bearing-retainer", "bearing-retainer-screw"] }],
    ["B5 a trace of oil, never grease", { at: "clutch", product: "light oil" }],
    ["B5 never grease is said", { at: "clutch", says: /never grease/ }],
    ["the collar is clean and dry", { at: "clutch-collar", says: /clean and dry/ }],
    ["gate: the clutch takes at once", { gate: /holds at once/, after: ["clutch", "clutch-collar"], before: ["tension-lower"] }],
    ["clutch alone: no dog", { gate: /holds at once/ }, { "anti-reverse": "clutch" }],
  ],
  "lever-drag": [
    ["plate screws by their pattern", { at: "head-plate", says: /pattern|uneven/ }],
    ["dog square, small end down", { at: "dog", says: /square/ }],
    ["foot's nuts collect salt", { at: "foot-nut-front", says: /first|corro|seize|collect/i }],
    ["lever at free before the plates close", { act: /Lever at free/, before: ["plate-screw-top"] }],
    ["gate: the dog before the gear covers it", { gate: /dog clicks/, after: ["dog-spring", "ratchet"], before: ["main-gear"] }],
    ["rough in free spool and winding: bearings", { fault: /bearing/i }],
    ["preload spring whole but dead", { fault: /preload|spring/i }],
    ["cam half a turn round kills free spool", { fault: /cam/i }],
    ["plate screws drawn down before the lever", { act: /Plate screws: first bite/, before: ["lever"] }],
    ["L1 off metal, plastic; back plastic, metal", { goesIn: ["lever-washer-plastic", "lever-washer-metal", "lever"] }],
    ["L1 cam out first, so in last but the preset", { goesIn: ["lever", "quadrant", "cam", "knob-preset"] }],
    ["L1 cam half a turn", { at: "cam", says: /half a turn/i }],
    ["L1 middle screw differs", { at: "quadrant-screw-middle", says: /short one/ }],
    ["L1 ring and lever together, cam stays", { at: "cam", stays: true }, { "way-in": "ring-and-lever" }],
    ["L1 ring and lever come away as one", { asOne: ["lever", "quadrant", "quadrant-screw-front", "quadrant-screw-middle", "quadrant-screw-rear"] }, { "way-in": "ring-and-lever" }],
    ["L1 the guard leaves first, and goes on after the nut", { goesIn: ["handle-nut", "nut-guard"] }, { "handle-end": "guard" }],
    ["L1 the click behind the spool is in before the spool", { act: /Spool and shaft into the frame/, after: ["click-tongue", "click-clip"] }],
    ["L1 the click in the head plate", { goesIn: ["head-plate", "click-tongue"] }, { click: "head" }],
    ["L2 hook first, then the ring's screws", { at: "lever", says: /hook first|hooked over/ }, { "way-in": "ring-and-lever" }],
    ["L2 drag cap left-hand", { at: "drag-cap", says: /Left-hand thread/ }],
    ["L2 drag cap on three tabs", { at: "drag-cap", says: /tabs/ }, { "drag-cap": "tabs" }],
    ["L3 pressure-plate bearing, both spool bearings", { seats: ["plate-bearing", "spool-bearing-tail", "spool-bearing-head", "preload-spring"] }],
    ["L3 the preload's bounce is felt under the cap", { gate: /bounces/, after: ["preload-spring", "drag-cap"], before: ["shaft"] }],
    ["L3 click washers: plastic against graphite", { at: "click-washer", says: /plastic against graphite/ }],
    ["L3 click button, tongue, clip", { seats: ["click-button", "click-tongue", "click-clip"] }],
    ["L4 free spool alive and the pull at strike, both", { gate: /until both are true/, after: ["cam", "knob-preset"], before: ["handle"] }],
    ["L4 one face greased or both", { at: "drag-washer", says: /one face or both/ }],
    ["A12 small one-piece build", { seats: ["main-gear", "pinion"] }, { size: "small" }],
    ["A8 knob, foot nuts", { seats: ["knob", "knob-washer", "foot-nut-front", "foot-nut-rear"] }],
  ],
  spincast: [
    ["tooth side of the nut to the gear", { at: "toothed-nut", says: /teeth/ }],
    ["spring washer cup down", { at: "spring-washer", says: /cup down/ }],
    ["keyed washer in its slots", { at: "keyed", says: /slot/ }],
    ["up from the shaft", { goesIn: ["copper-lower", "toothed-nut", "copper-upper", "spring-washer", "keyed", "fibre-lower", "spool", "fibre-upper", "flatted", "spool-clip"] }],
    ["handle screw in aluminium starts by hand", { at: "handle-screw", says: /by hand/ }],
    ["hair spring from hub to slot", { at: "hair-spring", says: /hub.*slot|slot/ }],
    ["pin: a tiny drop on the tip", { at: "pick-up-pin", product: "light oil" }],
    ["S1 bushes, click, dial, stop switch", { seats: ["shaft-bush", "gear-bush", "gear-bush-outer", "click-tongue", "drag-dial", "stop-switch"] }],
    ["S1 handle cap and washer", { goesIn: ["handle-washer", "handle", "handle-screw", "handle-cap"] }],
    ["S1 hair spring with hub and slot", { goesIn: ["anti-reverse-hub", "anti-reverse", "hair-spring"] }],
    ["S1 hub's slot", { at: "anti-reverse-hub", says: /slot/ }],
    ["S2 inverted nut", { at: "toothed-nut", says: /past fully tight/ }, { "drag-nut": "inverted" }],
    ["S2 drag loose before the clip", { at: "spool-clip", says: /drag loose/ }, { "drag-nut": "inverted" }],
    ["S2 cone flat to flat, pin drawn in and free", { at: "cone", says: /flat.*pin is drawn in and free/ }],
    ["S2 anti-reverse on, then the nut", { at: "cone-nut", says: /anti-reverse on/ }],
    ["S2 gate: the drag over its range", { gate: /drag goes over its range/, before: ["cone"] }],
    ["S2 gate: the button drops and picks up", { gate: /button drops/, after: ["cone-nut"] }],
    ["S2 gate: forward only", { gate: /forward it runs, back it holds/, before: ["back-cover"] }],
    ["S3 main shaft a drop", { at: "main-shaft", product: "light oil" }],
    ["S3 copper and keyed washers a film", { at: "keyed", product: "drag grease" }],
    ["S3 heavy grease on the gears", { at: "drive-gear", product: "reel grease" }],
    ["S1 ball bearings instead", { seats: ["shaft-bush"] }, { bearings: "balls" }],
    ["A8 knob", { at: "knob", oilPort: true }],
  ],
  "baitcaster-low-profile": [
    ["pinion bore cleaned through", { at: "pinion", says: /bore/ }],
    ["thumb bar: dirt in its slot", { fault: /thumb bar/i }],
    ["knob washer nests in its recess", { at: "knob-washer", says: /recess/ }],
    ["long end of the spool's shaft to the pinion", { at: "spool", says: /long/ }],
    ["tension knob backed off before the plate is drawn down", { act: /backed off before/, before: ["side-screw-top"] }],
    ["gate: the clutch before the tension washers", { gate: /forward and not back/, after: ["clutch", "clutch-sleeve"], before: ["tension-lower"] }],
    ["gate: the guide before the spool", { gate: /line guide runs/, after: ["pawl", "worm"], before: ["spool"] }],
    ["gate: star free to locked, click heard", { gate: /free to locked, click heard/, after: ["star"], before: ["handle"] }],
    ["sleeve leaves with the star", { at: "clutch-sleeve", says: /leaves with the star/ }],
    ["worm gets thin oil or grease both ends", { at: "worm-bush", product: "light oil" }],
    ["T1 bearing map", { seats: ["plate-bearing", "plate-keeper", "spool-bearing", "pinion-bearing", "cap-bearing", "worm-bush", "worm-bush-far", "shaft-bearing", "knob-bearing", "knob-washer"] }],
    ["T1 side plate bearing under its wire keeper", { goesIn: ["plate-bearing", "plate-keeper"] }],
    ["T1 both ends of the worm", { at: "worm-bush-far", product: "light oil" }],
    ["T1 pinion on the spool alone", { goesIn: ["yoke", "pinion"] }, { pinion: "spool" }],
    ["T3 side screws stay in the plate", { at: "side-screw-top", says: /stays in the plate/ }],
    ["T3 lugs get a trace", { at: "side-plate", product: "reel grease" }],
    ["A10 a drag face between ratchet and gear", { goesIn: ["ratchet", "under-gear", "main-gear"] }, { "under-gear": "friction" }],
    ["A10 a plastic washer there", { goesIn: ["ratchet", "under-gear", "main-gear"] }, { "under-gear": "plastic" }],
    ["brakes: which blocks are active", { at: "brake-block-a", says: /restore/ }],
    ["brake track bone dry", { at: "brake-drum", says: /bone dry/ }],
    ["magnets alone", { seats: ["magnet-dial"] }, { brakes: "magnets" }],
    ["blocks alone", { seats: ["brake-block-a"] }, { brakes: "blocks" }],
    ["A8 foot screws", { seats: ["foot", "foot-screw-front", "foot-screw-rear"] }],
    ["gate: it spins with the brakes at nothing", { gate: /spool spins free/, after: ["side-screw-top"] }],
  ],
  "baitcaster-round": [
    ["gate: the guide before the spool", { gate: /line guide runs/, before: ["spool"] }],
    ["gate: spins free", { gate: /spool spins free/, after: ["side-screw-top"] }],
    ["brakes restored as found", { at: "brake-block-a", says: /restore/ }],
    ["T1 bearing map", { seats: ["plate-bearing", "plate-keeper", "pinion-bearing", "cap-bearing", "worm-bush-far"] }],
    ["round ones have a click", { seats: ["click-tongue", "click-button"] }],
    ["A10 a drag face between ratchet and gear", { goesIn: ["ratchet", "under-gear", "main-gear"] }, { "under-gear": "friction" }],
  ],
  spinning: [
    ["tabs of the bush in their slots", { at: "bail-wire", says: /tabs in their slots/ }],
    ["thread-lock renewed at the roller", { at: "roller-screw", product: "thread-lock" }],
    ["wide key to wide channel", { at: "rotor", says: /[Ww]ide/ }],
    ["shaft's flat up", { at: "main-shaft", says: /flat/ }],
    ["post in the block's channel", { at: "oscillation-block", says: /post|channel/ }],
    ["SP6 the anti-reverse ratchet's raised side to the rotor", { at: "ratchet", says: /raised side to the rotor/ }, { "anti-reverse": "both" }],
    ["dog's ridge down", { at: "dog", says: /ridge/ }, { "anti-reverse": "both" }],
    ["gate: mesh felt before the rotor", { gate: /even all round/, after: ["drive-gear", "side-cover"] }],
    ["gate: one way and not the other", { gate: /one way and holds the other/, after: ["clutch"], before: ["rotor"] }],
    ["gate: bail ten of ten, roller under a braid", { gate: /ten times of ten/, after: ["bail-screw"], before: ["spool"] }],
    ["gate: drag over its range", { gate: /free to locked/, after: ["drag-knob"] }],
    ["nine drag pieces in big old ones", { goesIn: ["keyed-high", "friction-top", "eared-top", "friction-last", "drag-clip"] }, { "drag-pieces": "nine" }],
    ["roller thick end", { at: "roller", says: /[Tt]hick end/ }],
    ["grinds on a slow retrieve only: roller bearing", { fault: /roller/i }],
    ["A1 the roller's screw after the roller", { goesIn: ["bail-arm", "roller-spacer", "roller-bearing", "roller", "roller-screw"] }],
    ["P1 left loose until the bail is whole", { at: "roller-screw", says: /loose until the bail is whole/ }],
    ["P1 drawn down at once when only the roller was out", { at: "roller-screw", says: /at once when only the roller/ }],
    ["P1 drawn down once the bail is whole", { act: /Roller screw down/, after: ["roller-screw", "bail-screw", "bail-wire"] }],
    ["P1 shallow side of the spacer", { at: "roller-spacer-outer", says: /shallow/ }],
    ["P1 pinched off as one", { asOne: ["roller-spacer", "roller-bearing", "roller", "roller-spacer-outer", "roller-screw"] }],
    ["P2 by roller clutch", { seats: ["clutch", "clutch-sleeve"] }],
    ["P2 by both", { seats: ["clutch", "ratchet", "dog", "dog-spring"] }, { "anti-reverse": "both" }],
    ["P2 by dog and ratchet alone", { gate: /dog catches/, after: ["dog-spring", "ratchet"], before: ["rotor-washer"] }, { "anti-reverse": "dog" }],
    ["P2 rotor on with the dog engaged", { at: "dog", says: /engaged as the rotor goes on/ }, { "anti-reverse": "dog" }],
    ["P2 rotor nut snug, to its notch", { act: /snug, to its notch.*cracks/, after: ["rotor-nut"], before: ["nut-screw"] }],
    ["P2 proof is how far the pinion stands out", { gate: /pinion stands proud/, before: ["nut-screw"] }],
    ["P5 main bearing that does not come out", { at: "pinion-bearing", says: /served where it sits/ }, { "main-bearing": "stays" }],
    ["A8 knob and its washer", { at: "knob", oilPort: true }],
  ],
  "spinning-fluid-sealed": [
    ["the sleeve hangs free once the rotor is off", { at: "clutch-sleeve", says: /centre|before the magnet/ }],
    ["gate: one way and not the other", { gate: /holds the other/, after: ["unit-cap"], before: ["rotor"] }],
    ["gate: pinion proud of the rotor", { gate: /stands proud/, after: ["rotor-nut"], before: ["nut-screw"] }],
    ["FS6 the three-eared washer into the pack first", { at: "three-ear", says: /into the pack before the pack goes/ }],
    ["FS3 the two-eared one lies above the pack", { goesIn: ["three-ear", "clutch", "two-ear", "clutch-ring", "recessed-washer", "clutch-sleeve", "fluid-magnet", "unit-cap"] }],
    ["FS3 the plate holds the pinion's bearing under the unit", { goesIn: ["pinion-bearing", "clutch-plate", "clutch-screw-top", "clutch"] }],
    ["FS1 pin, support bearing, its seal, clip", { goesIn: ["cross-pin", "support-bearing", "support-seal", "tip-clip", "spool"] }],
    ["FS10 the ring is seen closed before the rotor", { gate: /seen closed all round/, after: ["unit-cap"], before: ["rotor"] }],
    ["P3 the keyed sleeve before the magnet disc", { goesIn: ["clutch-sleeve", "fluid-magnet"] }],
    ["P3 in with a pop", { at: "fluid-magnet", says: /pop/ }],
    ["P3 fluid last, nothing wiped after", { act: /fluid last of all.*wipe nothing/, after: ["unit-cap"], before: ["rotor"] }],
    ["P3 cap slowly, threads greased", { at: "unit-cap", says: /slowly/ }],
    ["P3 the cap's thread", { at: "unit-cap", product: "reel grease" }],
    ["P3 the pack may drop", { at: "unit-cap", says: /towel/ }],
    ["A1 the roller's screw after the roller", { goesIn: ["roller", "roller-screw"] }],
  ],
  "spinning-sealed-bail-less": [
    ["clutch pin to its cut-out before pressing", { at: "clutch", says: /cut-out/ }],
    ["SL5 the gear is pressed out only at signs of water", { at: "drive-gear", says: /water/ }],
    ["SL3 eight seals", { seats: ["side-cover-seal", "gear-cover-seal", "gear-shaft-seal", "main-seal", "guide-seal-inner", "guide-seal-outer", "housing-seal", "neck-seal"] }],
    ["SL1 rotor on three screws", { seats: ["rotor-screw-top", "rotor-screw-front", "rotor-screw-rear"] }],
    ["SL1 gear cover on six hexagon screws", { seats: ["gear-screw-top", "gear-screw-front-top", "gear-screw-front-low", "gear-screw-low", "gear-screw-rear-low", "gear-screw-rear-top"] }],
    ["SL2 a loose sleeve in a guide of two", { seats: ["guide-sleeve"] }, { guide: "two" }],
    ["SL4 the gear's ring: ends on the bearing, middle up", { at: "gear-retainer", says: /ends bear on the bearing/ }],
    ["SL6 the pinion loosens clockwise", { at: "pinion", says: /clockwise/ }],
    ["SL6 knurled ring off anticlockwise", { at: "knurled-ring", says: /anticlockwise/ }],
    ["SL7 seals are never used again", { at: "neck-seal", says: /Never used again/ }],
    ["SL11 gate: the gear cannot be pushed out", { gate: /cannot be pushed out/, after: ["gear-retainer"], before: ["gear-screw-top"] }],
    ["SL11 gate: no slip before the rotor", { gate: /no slip in twenty/, after: ["knurled-ring"], before: ["rotor"] }],
    ["P1 the roller's screw drawn down at once", { at: "roller-screw", says: /at once/ }],
    ["A1 the roller's screw after the roller", { goesIn: ["roller-spacer", "roller-bearing", "roller", "roller-screw"] }],
  ],
  centrepin: [
    ["clips: start opposite the gap, seat all round", { at: "rear-clip", says: /opposite the gap.*seated all round|seated all round.*opposite the gap/i }],
    ["preload bears on one outer ring and the other's inner", { at: "inner-sleeve", says: /inner ring/ }],
    ["outer sleeve on the outer ring", { at: "outer-sleeve", says: /outer ring/ }],
    ["gate: the check speaks both ways", { gate: /check speaks both ways/, before: ["spindle"] }],
    ["a lost preload", { fault: /preload|wave spring|sleeve/i }],
    ["a dented shield", { fault: /shield/i }],
    ["C1 compressed before the rear clip, off and on", { at: "rear-clip", says: /compressed before the clip comes off, and while it goes on/ }],
    ["C1 turned over between the two clips", { at: "rear-clip", says: /turned over between the two clips/ }],
    ["C1 the middle clip stays", { at: "middle-clip", stays: true }],
    ["C1 both sleeves go back", { goesIn: ["front-clip", "outer-sleeve", "wave-spring", "inner-sleeve", "rear-bearing", "rear-clip"] }],
    ["C1 a hub without the spring", { goesIn: ["front-clip", "outer-sleeve", "rear-bearing", "rear-clip"] }, { hub: "spaced" }],
    ["C2 a dented shield", { at: "front-bearing", says: /dents|dented/ }],
    ["C2 too tight to push: stop", { at: "front-bearing", says: /stop/ }],
    ["C2 gate: no play, a missing sleeve is asked for", { gate: /no play/, after: ["rear-clip"], before: ["drum"] }],
    ["A8 foot screws", { seats: ["foot-screw-front", "foot-screw-rear"] }],
  ],
};

describe.each(familyIds)("%s", (family) => {
  it.each(facts[family].map(([line, fact, built = {}]) => ({ line, fact, built })))("$line", ({ fact, built }) =>
    holds(familyWith(family, built), fact),
  );

  it("names its usual build first in every variant, and no choice twice", () => {
    const { variants, chosen } = families[family];
    for (const variant of variants) {
      expect(variant.choices.length, variant.id).toBeGreaterThan(1);
      expect(chosen[variant.id]).toBe(variant.choices[0].id);
      expect(variant.choices[0].change).toBeUndefined();
      expect(new Set(variant.choices.map(({ id }) => id)).size).toBe(variant.choices.length);
    }
  });

  it("says nothing that only salt water makes true, and knows the depth of every hole its screws may be confused in", () => {
    const { anatomy, parts } = families[family];
    const types = new Map(parts.map((part) => [part.id, part]));
    for (const { lubricant, name } of anatomy.positions) expect(lubricant?.why ?? "", name).not.toMatch(/salt/);
    const lengths = new Map<number, Set<number>>();
    const screws = anatomy.positions.flatMap((position) => {
      const shape = types.get(position.partTypeId)!.shape;
      return shape.kind === "screw" ? [{ position, shape }] : [];
    });
    for (const { shape } of screws) lengths.set(shape.threadMm, (lengths.get(shape.threadMm) ?? new Set()).add(shape.lengthMm));
    for (const { position, shape } of screws)
      if (lengths.get(shape.threadMm)!.size > 1 && !position.through)
        expect(position.holeDepthMm, `${family} ${position.name}`).toBeDefined();
  });
});
