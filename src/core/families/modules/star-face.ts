import { look, place } from "../tables/rows";
import type { Variant } from "../tables/table";
import { stackSeats, tensionSeats } from "./look-seats";

/** What a star stands on: its tension washers alone, or a click and a smooth-coated washer on them. Source: common practice; sizes are ours. */
export const starFace = (
  shaft: string,
  insideMm: number,
  numbers: { readonly gear: string; readonly spring: string; readonly washer: string },
): Variant => ({
  id: "star-face",
  name: "Star",
  choices: [
    { id: "flat", name: "flat on its tension washers" },
    {
      id: "coated",
      name: "a click and a smooth-coated washer below it",
      change: {
        parts: [
          [
            "star-click-gear",
            numbers.gear,
            "Star click ratchet",
            "star-click-gear",
            { kind: "ratchet", teeth: 24, outsideMm: 22, boreMm: insideMm, thicknessMm: 1.4 },
            "plastic",
            340,
          ],
          [
            "star-click",
            numbers.spring,
            "Star click spring",
            "star-click-spring",
            { kind: "wire-spring", wireMm: 0.5, lengthMm: 10 },
            "spring steel",
            120,
          ],
          [
            "star-washer",
            numbers.washer,
            "Star washer, coated",
            "star-washer",
            { kind: "washer", outsideMm: 20, insideMm, thicknessMm: 0.8 },
            "stainless steel",
            190,
          ],
        ],
        put: [
          {
            after: "tension-upper",
            assembly: "handle",
            row: ["star-click-gear", "Star click ratchet", "star-click-gear", { ridesOn: shaft, restsOn: ["tension-upper"] }],
          },
          {
            after: "star-click-gear",
            assembly: "handle",
            row: [
              "star-click",
              "Star click spring",
              "star-click",
              { acrossMm: 12, restsOn: ["star-click-gear"], caution: "The click spring flies: glasses on.", cautionSays: "spring" },
            ],
          },
          {
            after: "star-click",
            assembly: "handle",
            row: [
              "star-washer",
              "Star washer, coated",
              "star-washer",
              {
                ridesOn: shaft,
                restsOn: ["star-click-gear"],
                orientation: "coated side to the star",
                twoSided: true,
                trap: "Coat away from the star: it turns harshly.",
              },
            ],
          },
        ],
        reseat: { star: { restsOn: ["star-washer", "star-click"] } },
        operations: [
          {
            id: "gate-star",
            kind: "gate",
            pullsLine: true,
            words: "The star goes from free to locked in half a turn or more, its click heard",
            proves: "drag",
            after: place("star", "star-click"),
            before: place("handle-spacer"),
            lookAt: [
              look("Tension washers: do they face each other?", tensionSeats, "turned"),
              look("Star click spring left out?", ["star-click"], "left-out"),
              look("Keyed washers low and high, the eared one between?", stackSeats, "stacked"),
            ],
          },
        ],
      },
    },
    {
      id: "hollow",
      name: "hollowed below, over a low collar",
      change: { reseat: { star: { orientation: "hollow side down, over the collar", trap: "A flat star here binds on the plate." } } },
    },
  ],
});
