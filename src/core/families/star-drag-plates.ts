import { footScrewPart, footScrewSeats, footScrews } from "./modules/foot";
import { type RingJoint, type RingScrew, ringChoice } from "./modules/ring";
import { place } from "./tables/rows";
import type { TableChange, Variant } from "./tables/table";

/** A plate's ring: four long screws into the posts, two short ones through the plate into the foot between them. */
const ring = (end: "head" | "tail", name: string): RingScrew[] => {
  const post = { part: "plate-screw-long", holeDepthMm: 12 };
  const foot = {
    part: "plate-screw-short",
    holeDepthMm: 5.5,
    trap: "The short ones here: a long one goes through the foot and dents the spool.",
  };
  return [
    { ...post, id: `${end}-screw-top`, name: `${name} screw, top`, acrossMm: 26, hole: "post 1, top" },
    { ...post, id: `${end}-screw-front`, name: `${name} screw, front`, acrossMm: 6, hole: "post 2, front" },
    { ...post, id: `${end}-screw-rear`, name: `${name} screw, rear`, acrossMm: -26, hole: "post 3, rear" },
    { ...post, id: `${end}-screw-low`, name: `${name} screw, low`, acrossMm: -6, hole: "post 4, low" },
    { ...foot, id: `${end}-screw-foot-front`, name: `${name} foot screw, front`, acrossMm: 16, hole: "foot, front" },
    { ...foot, id: `${end}-screw-foot-rear`, name: `${name} foot screw, rear`, acrossMm: -16, hole: "foot, rear" },
  ];
};
export const [headRing, tailRing] = [ring("head", "Head plate"), ring("tail", "Tail plate")];
const idsOf = (screws: readonly RingScrew[]) => screws.map(({ id }) => id);
export const [headScrews, tailScrews] = [idsOf(headRing), idsOf(tailRing)];
export const footBetweenPlates = [...headRing, ...tailRing].map(({ id }) => id).filter((id) => id.includes("-foot-"));

/** Hands take the screws of a plate as one. */
export const ringBatches = (head: readonly string[], tail: readonly string[]): NonNullable<TableChange["batches"]> => [
  ["head-ring", "Head plate screws", ...head],
  ["tail-ring", "Tail plate screws", ...tail],
];

/** The tail plate drawn down. */
export const closeTail = (screws: readonly string[]) => ({
  id: "tighten-tail",
  kind: "tighten" as const,
  words: "Tail plate screws: start each one, then tighten crosswise 1/8 turn at a time",
  after: place(...screws, "click-spring", "click-tongue"),
  before: ["spool-in"],
  tool: "blade 4 mm",
});
/** The head plate closed and drawn down. */
export const closeHead = (screws: readonly string[]) => [
  {
    id: "close-head",
    kind: "press" as const,
    words: "Close the head plate onto the frame, lever free: no gap all round",
    after: ["gate-sleeve", "gate-lever", "spool-in"],
    before: place(...screws),
  },
  {
    id: "tighten-head",
    kind: "tighten" as const,
    words:
      "Head plate screws: start each one, then tighten crosswise 1/8 turn at a time; old plates crack behind the rear ones, no more than snug",
    after: place(...screws),
    tool: "blade 4 mm",
  },
];

/** A bar reel: its screws go into bars alone, and the foot has its own two. */
export function barsAlone(id: string, name: string, screws: readonly string[]): Variant["choices"][number] {
  const only = (end: "head" | "tail", of: readonly RingScrew[]): TableChange => {
    const left = of.filter((one) => screws.some((at) => one.id === `${end}-screw-${at}`));
    const joint: RingJoint = {
      assembly: end,
      after: end === "head" ? "pinion" : "cap",
      plate: `${end}-plate`,
      onto: "frame",
      holds: end === "head" ? ["spool"] : ["click-tongue", "click-spring"],
      operations: end === "head" ? closeHead(idsOf(left)) : [closeTail(idsOf(left))],
    };
    return ringChoice(id, name, joint, of, left, []).change!;
  };
  const [head, tail] = [only("head", headRing), only("tail", tailRing)];
  return {
    id,
    name,
    change: {
      parts: [footScrewPart("103")],
      drop: [...head.drop!, ...tail.drop!],
      put: [
        ...head.put!,
        ...tail.put!,
        ...footScrewSeats.map((row, i) => ({ after: i ? footScrews[i - 1]! : "foot", assembly: "frame", row })),
      ],
      batches: ringBatches(head.freedBy!.head!, tail.freedBy!.tail!),
      reseat: { ...head.reseat, ...tail.reseat, foot: { heldBy: [...footScrews] } },
      freedBy: { ...head.freedBy, ...tail.freedBy },
      operations: [...head.operations!, ...tail.operations!],
    },
  };
}
