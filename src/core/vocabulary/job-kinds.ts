/** The stations of a bench, in the order of a repair. */
export const stations = ["test", "find", "quote", "strip", "clean", "parts", "build", "prove", "return"] as const;
export type Station = (typeof stations)[number];

/** What a reel comes for. */
export const jobKinds = {
  repair: "repair",
  "full-service": "full service",
  "light-service": "light service, outside only",
  "purchase-check": "purchase check",
  comeback: "comeback of our own work",
} as const;
export type JobKind = keyof typeof jobKinds;
export const jobKindIds = Object.keys(jobKinds) as [JobKind, ...JobKind[]];
