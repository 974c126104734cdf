import type { Anatomy, PartType } from "@/core/anatomy/types";
import type { Fault } from "@/core/diagnosis/fault";
import type { ReelSection } from "@/core/diagnosis/isolation";
import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import type { Choice } from "@/core/ways/ways";

/** Why an assembly is opened, or a seat emptied, strongest first: somebody said so, a fault, a new part, the kind of service, a complaint. */
export type OpenedFor = "asked" | "fault" | "part" | "service" | "complaint";

export interface Depth {
  /** Assemblies that are serviced, each with why. */
  readonly open: ReadonlyMap<string, OpenedFor>;
  /** Seats that are emptied though their assembly is not serviced: the part a fault is about, one that is to be new. */
  readonly seats: ReadonlyMap<string, OpenedFor>;
  /** Assemblies somebody said stay shut. */
  readonly shut: ReadonlySet<string>;
}

export interface DepthWanted {
  readonly depth: Choice<"depth">;
  /** Taken into the job. */
  readonly faults: readonly Pick<Fault, "section" | "remedy" | "needs">[];
  readonly complaints: readonly ComplaintId[];
  /** Where the tests made so far point. */
  readonly sections: readonly ReelSection[];
  /** Seats for which a new part is foreseen. */
  readonly newParts: readonly string[];
  /** The reel came to have parts changed: what they need is all that is opened. */
  readonly onlyParts?: boolean;
  /** Of an assembly: why it was opened already, or that it stays shut because somebody said so. */
  readonly said: ReadonlyMap<string, OpenedFor | "shut">;
}

/** Where each complaint is looked for when the tests point nowhere (common practice). What is felt only in gear or only on the cast is told by tests. */
const sectionsOfComplaint: Readonly<Record<ComplaintId, readonly ReelSection[]>> = {
  stiff: ["gear-side", "spool-side"],
  gritty: ["gear-side", "spool-side"],
  "short-spin": ["spool-side"],
  "drag-jerky": ["drag"],
  "drag-weak": ["drag"],
  "slips-back": ["anti-reverse"],
  "click-weak": ["click"],
  "no-gear": ["controls"],
  // Felt outside, mended outside, unless a test or a fault says otherwise.
  wobbles: ["outside"],
  "line-twists": ["bail"],
  "no-rise": ["gear-side"],
  "bail-hangs": ["bail"],
  "drops-line": ["bail"],
  service: [],
};
/** Where complaints are looked for, each section once. */
export const sectionsOfComplaints = (complaints: readonly ComplaintId[]): ReelSection[] => [
  ...new Set(complaints.flatMap((id) => sectionsOfComplaint[id])),
];
/** Sections that are about everything: nothing can be left shut for them. */
const whole: readonly ReelSection[] = ["shaft-line"];

/** Roles by the section in which their faults are looked for. */
export function rolesBySection(
  faults: readonly Pick<Fault, "section" | "remedy" | "needs">[],
): ReadonlyMap<ReelSection, ReadonlySet<string>> {
  const roles = new Map<ReelSection, Set<string>>();
  for (const { section, remedy, needs } of faults) {
    const known = roles.get(section) ?? new Set();
    for (const role of [...remedy.partRoles, ...(needs ? [needs] : [])]) known.add(role);
    roles.set(section, known);
  }
  return roles;
}

/**
 * What of a reel is opened, and why. To the kind of service's own assemblies come what faults, new parts and a person's word ask for; where only
 * the complaint is to be served, and nothing says where it sits, all of it is. @param catalogue every fault such a reel can have: it tells which
 * roles belong to which section.
 */
export function depthOf(
  anatomy: Pick<Anatomy, "assemblies" | "positions">,
  types: ReadonlyMap<string, PartType>,
  wanted: DepthWanted,
  catalogue: readonly Pick<Fault, "section" | "remedy" | "needs">[],
): Depth {
  const open = new Map<string, OpenedFor>();
  const seats = new Map<string, OpenedFor>();
  const shut = new Set([...wanted.said].flatMap(([id, said]) => (said === "shut" ? [id] : [])));
  const serviced = anatomy.assemblies.filter(({ stays }) => !stays).map(({ id }) => id);
  const roleOf = (partTypeId: string) => types.get(partTypeId)?.role ?? "";
  const roles = rolesBySection(catalogue);
  const add = (id: string, why: OpenedFor) => {
    if (!shut.has(id) && !open.has(id)) open.set(id, why);
  };
  const assembliesOf = (section: ReelSection): string[] => {
    if (whole.includes(section)) return serviced;
    const own = roles.get(section) ?? new Set();
    return [...new Set(anatomy.positions.filter(({ partTypeId }) => own.has(roleOf(partTypeId))).map(({ assemblyId }) => assemblyId))];
  };

  for (const [id, said] of wanted.said) if (said !== "shut") add(id, said);
  for (const fault of wanted.faults) {
    const about = new Set([...fault.remedy.partRoles, ...(fault.needs ? [fault.needs] : [])]);
    const own = anatomy.positions.filter(({ partTypeId }) => about.has(roleOf(partTypeId)));
    // A fault of a part lays that part open; one of a whole section its assemblies.
    if (own.length) for (const { id } of own) seats.set(id, "fault");
    else if (fault.section !== "outside") for (const id of assembliesOf(fault.section)) add(id, "fault");
  }
  for (const id of wanted.newParts) if (!seats.has(id)) seats.set(id, "part");

  if (wanted.depth === "full") for (const id of serviced) add(id, "service");
  if (wanted.depth === "quick") for (const { id, quick } of anatomy.assemblies) if (quick) add(id, "service");
  if (wanted.depth === "complaint") {
    // What the tests point to is nearer than what the customer felt.
    const sections = wanted.sections.length ? wanted.sections : wanted.complaints.flatMap((id) => sectionsOfComplaint[id]);
    for (const section of sections) if (section !== "outside") for (const id of assembliesOf(section)) add(id, "complaint");
    if (!sections.length && !wanted.faults.length && !(wanted.onlyParts && wanted.newParts.length))
      for (const id of serviced) add(id, "complaint");
  }
  for (const [id] of seats) {
    const { assemblyId } = anatomy.positions.find((position) => position.id === id) ?? {};
    if (assemblyId !== undefined && shut.has(assemblyId)) seats.delete(id);
  }
  return { open, seats, shut };
}

export const openedForWords: Readonly<Record<OpenedFor, string>> = {
  asked: "because it was asked for",
  fault: "for a fault",
  part: "for a new part",
  service: "by the kind of service",
  complaint: "for the complaint",
};
