import type { VariantChoice } from "../tables/table";

/** A friction washer in the place of the washer under the main gear: one face more. @param number of it. Source: common practice; sizes are ours. */
export const frictionUnderGear = (number: string): VariantChoice => ({
  id: "friction",
  name: "a friction washer: a drag face, it counts in the stack",
  change: {
    parts: [
      [
        "gear-washer",
        number,
        "Under-gear friction washer",
        "friction-washer-under",
        { kind: "friction-washer", outsideMm: 24, insideMm: 8.6, thicknessMm: 0.9 },
        "carbon",
        260,
      ],
    ],
    reseat: {
      "under-gear-washer": {
        name: "Under-gear friction washer",
        lubricant: { product: "drag grease", amount: "a film, wiped till the weave shows", why: "it slips with the stack" },
      },
    },
  },
});
