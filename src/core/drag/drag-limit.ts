/**
 * The most a drag is set to and tested at, as a share of what the line is rated for. One limit for the gauge and for the caution at the test.
 * Source: common practice.
 */
export const dragLimit = {
  share: 1 / 3,
  words: "a third of what rod and line are rated for",
  why: "a knot keeps about 80 % of the line's strength and a jerky drag can double the pull, so stay below a third",
} as const;
