/** What hands can get wrong with one piece or two: a side turned over, a piece left in the tray, two screws exchanged, two rings in the other order. */
export const mistakeKinds = ["turned", "left-out", "swapped", "stacked"] as const;
export type MistakeKind = (typeof mistakeKinds)[number];

/** A mistake's kind, as somebody ticks it. */
export const mistakeWords: Readonly<Record<MistakeKind, string>> = {
  turned: "turned over",
  "left-out": "left out",
  swapped: "exchanged with another",
  stacked: "in the wrong order",
};
