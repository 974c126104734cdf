import type { Anatomy, PartType } from "@/core/anatomy/types";
import type { Fault } from "@/core/diagnosis/fault";
import type { ReelSection } from "@/core/diagnosis/isolation";
import { planOpening, type Reached } from "@/core/teardown/opening";
import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import type { FamilyId } from "@/core/vocabulary/families";
import type { Choice } from "@/core/ways/ways";
import { opensOfFault } from "./opens-of-fault";
import { type PlaceId, placesOfComplaint, placesOfSection, takenBy } from "./places";

/** Why an assembly is opened, or a seat emptied, strongest first: somebody said so, a fault, a new part, the kind of service, a complaint. */
export type OpenedFor = "asked" | "fault" | "part" | "service" | "complaint";

export interface Depth {
  /** Assemblies that are serviced, each with why. */
  readonly open: ReadonlyMap<string, OpenedFor>;
  /** Of an assembly that is opened for one place in it: the seats that are emptied; the rest of it rides along. */
  readonly only: ReadonlyMap<string, ReadonlySet<string>>;
  /** Seats that are emptied though their assembly is not serviced: the part a fault is about, one that is to be new. */
  readonly seats: ReadonlyMap<string, OpenedFor>;
  /** Assemblies somebody said stay shut. */
  readonly shut: ReadonlySet<string>;
}

export interface DepthWanted {
  readonly family: FamilyId;
  readonly depth: Choice<"depth">;
  /** Taken into the job. */
  readonly faults: readonly Pick<Fault, "id" | "section" | "remedy" | "needs">[];
  readonly complaints: readonly ComplaintId[];
  /** Where the tests made so far point. */
  readonly sections: readonly ReelSection[];
  /** Seats for which a new part is foreseen. */
  readonly newParts: readonly string[];
  /** The reel came to be serviced: where nothing was felt all of it is; one that came for a repair waits until something says where. */
  readonly forService?: boolean;
  /** Of an assembly: why it was opened already, or that it stays shut because somebody said so. */
  readonly said: ReadonlyMap<string, OpenedFor | "shut">;
}

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
 * What of a reel is opened, and why: the seats that the kind of service, the faults, new parts and the complaint have to reach, and no more; what
 * stands in their way is found by planOpening. A repair for which nothing says where it sits opens nothing until something does.
 */
export function depthOf(
  anatomy: Pick<Anatomy, "assemblies" | "positions">,
  types: ReadonlyMap<string, PartType>,
  wanted: DepthWanted,
): Depth {
  const open = new Map<string, OpenedFor>();
  const only = new Map<string, ReadonlySet<string>>();
  const seats = new Map<string, OpenedFor>();
  const shut = new Set([...wanted.said].flatMap(([id, said]) => (said === "shut" ? [id] : [])));
  const serviced = anatomy.assemblies.filter(({ stays }) => !stays).map(({ id }) => id);
  const roleOf = (partTypeId: string) => types.get(partTypeId)?.role ?? "";
  const addWhole = (id: string, why: OpenedFor) => {
    if (shut.has(id)) return;
    if (!open.has(id)) open.set(id, why);
    only.delete(id);
  };
  const addSome = (id: string, some: ReadonlySet<string>, why: OpenedFor) => {
    if (shut.has(id) || (open.has(id) && !only.has(id))) return;
    if (!open.has(id)) open.set(id, why);
    only.set(id, new Set([...(only.get(id) ?? []), ...some]));
  };
  const addPlace = (place: PlaceId, why: OpenedFor) => {
    for (const [id, taken] of takenBy(place, wanted.family, anatomy, types))
      if (taken === "whole") addWhole(id, why);
      else addSome(id, taken, why);
  };

  for (const [id, said] of wanted.said) if (said === "asked" || said === "service") addWhole(id, said);
  for (const fault of wanted.faults) {
    const opens = opensOfFault(fault.id);
    if (opens === "nothing") continue;
    const about = new Set([...fault.remedy.partRoles, ...(fault.needs ? [fault.needs] : [])]);
    const own = anatomy.positions.filter(({ partTypeId }) => about.has(roleOf(partTypeId)));
    if (opens) addPlace(opens, "fault");
    // A fault of a part lays that part open; one of a whole section its places.
    else if (own.length) for (const { id } of own) seats.set(id, "fault");
    else for (const place of placesOfSection[fault.section] ?? []) addPlace(place, "fault");
  }
  for (const id of wanted.newParts) if (!seats.has(id)) seats.set(id, "part");

  if (wanted.depth === "round") for (const { id, round } of anatomy.positions) if (round && !seats.has(id)) seats.set(id, "service");
  if (wanted.depth === "full" || wanted.depth === "opening") for (const id of serviced) addWhole(id, "service");
  if (wanted.depth === "quick") for (const { id, quick } of anatomy.assemblies) if (quick) addWhole(id, "service");
  if (wanted.depth === "complaint") {
    // What the tests point to is nearer than what the customer felt.
    const pointed = wanted.sections.map((section) => placesOfSection[section]);
    const felt = wanted.complaints.flatMap((id) => placesOfComplaint[id]);
    if (pointed.includes(null)) for (const id of serviced) addWhole(id, "complaint");
    for (const place of pointed.length ? pointed.flatMap((of) => of ?? []) : felt) addPlace(place, "complaint");
    if (wanted.forService && !pointed.length && !felt.length && !wanted.faults.length) for (const id of serviced) addWhole(id, "service");
  }
  // What was opened before stays open, as far as it was for.
  for (const [id, why] of wanted.said) {
    if (why === "shut" || open.has(id)) continue;
    const before = anyPlaceIn(id, wanted.family, anatomy, types);
    if (before.size) addSome(id, before, why);
    else addWhole(id, why);
  }
  for (const [id] of seats) {
    const { assemblyId } = anatomy.positions.find((position) => position.id === id) ?? {};
    if (assemblyId !== undefined && shut.has(assemblyId)) seats.delete(id);
  }
  return { open, only, seats, shut };
}

/** The seats of an assembly that some complaint opens. */
function anyPlaceIn(
  assemblyId: string,
  family: FamilyId,
  anatomy: Pick<Anatomy, "positions">,
  types: ReadonlyMap<string, PartType>,
): ReadonlySet<string> {
  const every = new Set(Object.values(placesOfComplaint).flat());
  const taken = [...every].map((place) => takenBy(place, family, anatomy, types).get(assemblyId));
  return taken.includes("whole") ? new Set() : new Set(taken.flatMap((of) => (of && of !== "whole" ? [...of] : [])));
}

/** What of a depth the hands have to reach. What stays in is looked at and served where it sits, unless it is a fault's own part or to be new. */
export function reachedBy({ positions }: Pick<Anatomy, "positions">, { open, only, seats }: Depth): Reached {
  const some = new Set([...only.values()].flatMap((of) => [...of]));
  const stays = new Set(positions.filter((seat) => seat.stays || seat.inPlace).map(({ id }) => id));
  return {
    whole: new Set([...open.keys()].filter((id) => !only.has(id))),
    seats: new Set([...seats.keys(), ...[...some].filter((id) => !stays.has(id))]),
    looked: new Set([...some].filter((id) => stays.has(id) && !seats.has(id))),
  };
}

/**
 * For each assembly that somebody said stays shut while parts of it come off all the same: what is reached only through it.
 * @returns by shut assembly, the ids of the opened ones it stands in the way of.
 */
export function shutInTheWay(anatomy: Pick<Anatomy, "assemblies" | "positions">, depth: Depth): ReadonlyMap<string, readonly string[]> {
  const found = new Map<string, string[]>();
  if (!depth.shut.size) return found;
  const assemblyOf = new Map(anatomy.positions.map(({ id, assemblyId }) => [id, assemblyId]));
  const seatsIn = (id: string) => [...depth.seats.keys()].filter((seat) => assemblyOf.get(seat) === id);
  for (const id of new Set([...depth.open.keys(), ...[...depth.seats.keys()].flatMap((seat) => assemblyOf.get(seat) ?? [])])) {
    const own: Depth = {
      open: new Map([...depth.open].filter(([one]) => one === id)),
      only: new Map([...depth.only].filter(([one]) => one === id)),
      seats: new Map(seatsIn(id).map((seat) => [seat, depth.seats.get(seat)!])),
      shut: new Set(),
    };
    const touched = new Set([...planOpening(anatomy, reachedBy(anatomy, own)).off].flatMap((seat) => assemblyOf.get(seat) ?? []));
    for (const shut of depth.shut) if (touched.has(shut) && shut !== id) found.set(shut, [...(found.get(shut) ?? []), id]);
  }
  return found;
}

export const openedForWords: Readonly<Record<OpenedFor, string>> = {
  asked: "because it was asked for",
  fault: "for a fault",
  part: "for a new part",
  service: "by the kind of service",
  complaint: "for the complaint",
};
