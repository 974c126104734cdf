import { place, screw, steel, threadFilm } from "../tables/rows";
import type { Seat, VariantChoice } from "../tables/table";

interface TakeApartJoint {
  /** The screws of the usual ring, which are not there. */
  readonly ring: readonly string[];
  /** The seat of the tail assembly that the screw comes after. */
  readonly after: string;
  readonly number: string;
  /** What else the ring holds down, by seat. */
  readonly holds: Readonly<Record<string, Seat>>;
  /** The act that turns the plate home: its words, what must be in before it. */
  readonly close: { readonly id: string; readonly words: string; readonly over: readonly string[] };
  /** What waits for the screw. */
  readonly before: readonly string[];
}

const takeApartScrew = "take-apart-screw";

/** A tail plate in lugs of the frame: one screw out and it turns a little anticlockwise and leaves. */
export const takeApart = ({ ring, after, number, holds, close, before }: TakeApartJoint): VariantChoice => ({
  id: "lugs",
  name: "one take-apart screw, the tail plate turned out of its lugs",
  change: {
    parts: [[takeApartScrew, number, "Take-apart screw", "plate-screw", screw(4, 12), steel, 290]],
    drop: ring,
    put: [
      {
        after,
        assembly: "tail",
        row: [
          takeApartScrew,
          "Take-apart screw",
          takeApartScrew,
          {
            acrossMm: 24,
            passesThrough: ["tail-plate"],
            restsOn: ["frame"],
            hole: "frame, beside the lugs",
            holeDepthMm: 14,
            caution: "The spool drops out as the plate turns free: tail side up, a hand under the spool.",
            trap: "It alone keeps the plate in its lugs.",
            ...threadFilm,
          },
        ],
      },
    ],
    reseat: {
      ...holds,
      "tail-plate": { orientation: "into its lugs, then a little clockwise until it stops: no gap all round" },
    },
    freedBy: { tail: [takeApartScrew] },
    operations: [
      {
        id: close.id,
        kind: "press",
        words: close.words,
        after: place("tail-plate", ...close.over),
        before: place(takeApartScrew),
      },
      {
        id: "tighten-tail",
        kind: "tighten",
        words: "Draw the take-apart screw snug",
        after: place(takeApartScrew),
        before: [...before],
      },
    ],
  },
});
