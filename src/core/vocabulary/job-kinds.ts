/** The stations of a bench, in the order of a repair. */
export const stations = ["test", "find", "quote", "strip", "clean", "parts", "build", "prove", "return"] as const;
export type Station = (typeof stations)[number];

/** What a reel comes for. */
export const jobKinds = {
  repair: "repair",
  service: "service",
  upgrade: "upgrade",
  "purchase-check": "purchase check",
  comeback: "comeback (our own repair)",
} as const;
export type JobKind = keyof typeof jobKinds;
export const jobKindIds = Object.keys(jobKinds) as [JobKind, ...JobKind[]];

/** How deep a reel is opened; what faults and new parts need comes on top of each. */
export const depths = {
  complaint: "only what the fault needs",
  quick: "quick service",
  full: "full service",
  round: "ten-minute round",
  light: "outside service",
  opening: "opening only, then ask",
} as const;
export type DepthId = keyof typeof depths;

/** What a job is for and how deep it goes: together they choose its stations, tests, steps and price. */
export interface JobPath {
  readonly kind: JobKind;
  readonly depth: DepthId;
  /** Whether the depth was said for this job, and is not only the usual way. */
  readonly depthSaid: boolean;
}
