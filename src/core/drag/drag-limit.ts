/**
 * The most a drag is set to and tested at, as a share of what the line is rated for. One limit for the gauge and for the caution at the test.
 * Source: common practice.
 */
export const dragLimit = {
  share: 1 / 3,
  words: "a third of what rod and line are rated for",
  why: "a knot leaves about four fifths of a line, and a drag that jerks doubles the pull: a third is what both together leave",
} as const;
