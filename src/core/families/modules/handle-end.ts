import { greased, look, place, screw, steel, threadFilm } from "../tables/rows";
import type { PartRow } from "../tables/table";
import type { Module, ModuleBuild } from "./module";

/** What the frame gives a handle end to sit on. */
export interface HandleJoint {
  /** The seat of the handle. */
  readonly handle: string;
  /** Seats under the handle that come off and go on with it, as far as the reel has them. */
  readonly under: readonly string[];
  /** Bore of the nut, thread of the handle screw, mm. */
  readonly threadMm: number;
  readonly acrossFlatsMm: number;
  /** Catalogue numbers of nut, lock screw, keeper, its screw, guard and handle screw. */
  readonly numbers: {
    readonly nut: string;
    readonly lock: string;
    readonly keeper: string;
    readonly keeperScrew: string;
    readonly guard: string;
    readonly screw: string;
  };
  /** A star turns below this handle: it is felt with the end tight. */
  readonly star: boolean;
  /** Said where the end is drawn tight: how this reel is held for it. */
  readonly held?: string;
}

const lastInWater = greased("a film", "water stands here first");

/** With the end tight the star still has to move, before anything locks it. */
const starFelt = (tight: string, what: string, before: readonly string[]) => ({
  id: "gate-handle",
  kind: "gate" as const,
  words: `With the ${what} tight the star still moves`,
  after: [tight],
  before: place(...before),
  lookAt: [
    look("Handle spacer missing?", ["handle-spacer"], "left-out"),
    `Stack not pressed down before the ${what}?`,
    look("Star cross-threaded?", ["star"]),
  ],
});

/**
 * What holds a handle on its sleeve or shaft: nut and lock screw, a slotted screw without a lock, or a toothed nut under a keeper. Source:
 * common practice; sizes are typical and ours.
 */
export function handleEnd(joint: HandleJoint): Module {
  const { numbers, handle } = joint;
  const starMoves = (...of: Parameters<typeof starFelt>) => (joint.star ? [starFelt(...of)] : []);
  const also = joint.held ? `; ${joint.held}` : "";
  const nut: PartRow = [
    "handle-nut",
    numbers.nut,
    "Handle nut",
    "handle-nut",
    { kind: "nut", acrossFlatsMm: joint.acrossFlatsMm, boreMm: joint.threadMm, heightMm: 5 },
    "chromed brass",
    390,
  ];
  const tightNut = (words: string, before: string) => ({
    id: "tighten-nut",
    kind: "tighten" as const,
    words: words + also,
    after: place("handle-nut"),
    before: place(before),
    tool: `reel wrench, ${joint.acrossFlatsMm} mm`,
  });
  const batch = (name: string, seats: readonly string[]): ModuleBuild["batches"] => [["handle", name, ...joint.under, handle, ...seats]];
  return {
    id: "handle-end",
    name: "Handle end",
    builds: [
      {
        id: "lock-screw",
        name: "nut with a tiny lock screw",
        parts: [nut, ["lock-screw", numbers.lock, "Handle lock screw", "lock-screw", screw(2, 4), steel, 90]],
        seats: [
          [
            "handle-nut",
            "Handle nut",
            "handle-nut",
            {
              restsOn: [handle],
              turnsWith: "handle",
              orientation: "flat to the lock screw's hole",
              ...lastInWater,
              trap: "Start it by hand, then on to the flat that meets the lock screw.",
            },
          ],
          [
            "lock-screw",
            "Handle lock screw",
            "lock-screw",
            {
              acrossMm: 8,
              stripsEasily: true,
              restsOn: ["handle-nut"],
              hole: "in the handle, beside the nut",
              holeDepthMm: 5,
              orientation: "slot out",
              ...greased("plenty", "a dry one ends with a drill and a new handle"),
            },
          ],
        ],
        operations: [
          tightNut("Handle nut firm, then on to the next flat at the lock screw", "lock-screw"),
          ...starMoves("tighten-nut", "nut", ["lock-screw"]),
        ],
        batches: batch("Handle with its nut", ["handle-nut", "lock-screw"]),
      },
      {
        id: "slotted-screw",
        name: "slotted screw, no lock",
        parts: [["handle-screw", numbers.screw, "Handle screw, slotted", "handle-screw", screw(joint.threadMm - 1, 9), steel, 240]],
        seats: [
          [
            "handle-screw",
            "Handle screw",
            "handle-screw",
            {
              restsOn: [handle],
              turnsWith: "handle",
              stripsEasily: true,
              hole: "the end under the handle",
              holeDepthMm: 10,
              orientation: "slot out; no flat to line up",
              ...greased("a film on thread and head", "water stands here first"),
              trap: "A blade as wide as the slot: a torn one is drilled out.",
            },
          ],
        ],
        operations: [
          {
            id: "tighten-handle-screw",
            kind: "tighten",
            words: `Handle screw firm: nothing locks it, so it is felt again before the reel goes home${also}`,
            after: place("handle-screw"),
            tool: "blade as wide as the slot",
          },
          ...starMoves("tighten-handle-screw", "screw", []),
        ],
        batches: batch("Handle with its screw", ["handle-screw"]),
      },
      {
        id: "keeper",
        name: "nut under a keeper with a small screw",
        parts: [
          nut,
          [
            "nut-keeper",
            numbers.keeper,
            "Nut keeper",
            "nut-keeper",
            { kind: "washer", outsideMm: joint.acrossFlatsMm + 6, insideMm: joint.acrossFlatsMm + 0.2, thicknessMm: 0.6 },
            steel,
            190,
          ],
          ["keeper-screw", numbers.keeperScrew, "Keeper screw", "keeper-screw", screw(2, 4), steel, 60],
        ],
        seats: [
          [
            "handle-nut",
            "Handle nut",
            "handle-nut",
            {
              restsOn: [handle],
              turnsWith: "handle",
              orientation: "teeth or flats to the keeper",
              ...lastInWater,
              trap: "Start it by hand.",
            },
          ],
          [
            "nut-keeper",
            "Nut keeper",
            "nut-keeper",
            {
              restsOn: ["handle-nut"],
              orientation: "over the nut, its hole at the screw's",
              trap: "Left off, the nut backs out under load.",
            },
          ],
          [
            "keeper-screw",
            "Keeper screw",
            "keeper-screw",
            {
              acrossMm: 9,
              stripsEasily: true,
              restsOn: ["nut-keeper"],
              hole: "in the handle, beside the nut",
              holeDepthMm: 5,
              ...threadFilm,
            },
          ],
        ],
        operations: [
          tightNut("Handle nut firm, then on to where it meets the keeper", "nut-keeper"),
          ...starMoves("tighten-nut", "nut", ["nut-keeper"]),
        ],
        batches: batch("Handle with its nut", ["handle-nut", "nut-keeper", "keeper-screw"]),
      },
      {
        id: "guard",
        name: "nut under a plastic guard, its screw parked in it",
        parts: [
          nut,
          [
            "nut-guard",
            numbers.guard,
            "Nut guard",
            "nut-guard",
            { kind: "cap", outsideMm: joint.acrossFlatsMm + 10, heightMm: 5 },
            "plastic",
            290,
          ],
        ],
        seats: [
          ["handle-nut", "Handle nut", "handle-nut", { restsOn: [handle], turnsWith: "handle", ...lastInWater, trap: "Start it by hand." }],
          [
            "nut-guard",
            "Nut guard",
            "nut-guard",
            {
              restsOn: ["handle-nut"],
              orientation: "over the nut, its screw parked in it",
              trap: "Left off, the nut backs out under load.",
            },
          ],
        ],
        operations: [
          tightNut("Handle nut firm, then on to where the guard's screw meets the handle", "nut-guard"),
          ...starMoves("tighten-nut", "nut", ["nut-guard"]),
        ],
        batches: batch("Handle with its nut and guard", ["handle-nut", "nut-guard"]),
      },
    ],
  };
}
