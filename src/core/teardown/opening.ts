import { seatConstraints } from "@/core/anatomy/constraints";
import type { Anatomy } from "@/core/anatomy/types";
import { kept } from "@/core/kept";
import { covers } from "./covers";

/** What the hands have to reach. */
export interface Reached {
  /** Assemblies that are serviced: all of their seats but those that stay. */
  readonly whole: ReadonlySet<string>;
  /** Wanted off by themselves, whatever they are. */
  readonly seats: ReadonlySet<string>;
  /** Looked at where they sit: the way to them is opened, they stay. */
  readonly looked: ReadonlySet<string>;
}

export interface Opening {
  /** Seats that come off. */
  readonly off: ReadonlySet<string>;
  /** What stays on a part that comes off, by seat: an assembly that is not serviced rides on its carrier. */
  readonly ridesOn: ReadonlyMap<string, string>;
}

/**
 * What comes off so that some assemblies are serviced and some seats emptied, and no more. What is in the way comes off as well; an assembly
 * that is not serviced stays on its carrier, which is freed and lifted; what is pressed in, served in place, or the body the rest is built on
 * stays.
 */
export const planOpening: (anatomy: Pick<Anatomy, "assemblies" | "positions">, reached: Reached) => Opening = kept(
  opened,
  ({ whole, seats, looked }) => JSON.stringify([whole, seats, looked].map((ids) => [...ids].sort())),
);

function opened(anatomy: Pick<Anatomy, "assemblies" | "positions">, { whole: open, seats, looked }: Reached): Opening {
  const byId = new Map(anatomy.positions.map((position) => [position.id, position]));
  const assemblies = new Map(anatomy.assemblies.map((assembly) => [assembly.id, assembly]));
  const staysIn = (id: string) => {
    const position = byId.get(id)!;
    return !seats.has(id) && (position.stays === true || position.inPlace === true);
  };
  /** The part a seat stays on while its assembly is not serviced; undefined for one that comes off by itself. */
  const carrierOf = (id: string): string | undefined => {
    const assembly = assemblies.get(byId.get(id)!.assemblyId);
    if (!assembly?.carrier || open.has(assembly.id) || seats.has(id) || assembly.carrier === id || assembly.freedBy?.includes(id))
      return undefined;
    return assembly.carrier;
  };
  /** What a seat stays on, and what that stays on: a roller on its arm, the arm on its rotor. Innermost first. */
  const carriersOf = (id: string): string[] => chainOf(id, carrierOf);
  const over = new Map<string, string[]>();
  for (const { below, over: above } of covers(anatomy)) over.set(below, [...(over.get(below) ?? []), above]);
  const off = new Set<string>();
  const lifted = new Set<string>();
  /** Takes a seat off; one that carries an assembly which stays together is freed first. */
  const take = (id: string) => {
    off.add(id);
    for (const assembly of anatomy.assemblies)
      if (assembly.carrier === id && !open.has(assembly.id) && !lifted.has(assembly.id)) {
        lifted.add(assembly.id);
        for (const other of assembly.freedBy ?? []) if (!off.has(other)) take(other);
      }
  };
  for (const { id, assemblyId } of anatomy.positions) if (seats.has(id) || (open.has(assemblyId) && !staysIn(id))) take(id);
  /** What lies over a seat, and over what rides on it. */
  const above = (id: string): string[] => [
    ...(over.get(id) ?? []),
    ...anatomy.positions.flatMap((position) => (carriersOf(position.id).includes(id) ? (over.get(position.id) ?? []) : [])),
  ];
  const clear = (id: string) => {
    for (const other of above(id)) {
      if (off.has(other) || staysIn(other)) continue;
      const carriers = carriersOf(other);
      const [carrier] = carriers;
      // A part in the way within its own assembly comes off by itself; one of another leaves with the outermost part that carries it.
      if (carrier === undefined || (carrier !== id && byId.get(other)!.assemblyId === byId.get(id)!.assemblyId)) take(other);
      else if (!carriers.some((one) => one === id || off.has(one))) take(carriers.at(-1)!);
    }
  };
  for (const id of looked) if (byId.has(id)) clear(id);
  // A set hands out what is added to it while it is walked.
  for (const id of off) clear(id);
  const ridesOn = new Map<string, string>();
  for (const { id } of anatomy.positions) {
    if (off.has(id)) continue;
    const carrier = carriersOf(id).find((one) => off.has(one));
    if (carrier !== undefined) ridesOn.set(id, carrier);
  }
  return { off, ridesOn };
}

/** A seat's carriers, innermost first; each once, should a model tie them in a ring. */
function chainOf(id: string, carrierOf: (id: string) => string | undefined): string[] {
  const chain: string[] = [];
  for (let up = carrierOf(id); up !== undefined && !chain.includes(up); up = carrierOf(up)) chain.push(up);
  return chain;
}

/**
 * What rides on which part, told from what came off: seats of an assembly whose carrier came off while they did not. @returns by seat.
 */
export function ridersOf(anatomy: Pick<Anatomy, "assemblies" | "positions">, out: ReadonlySet<string>): ReadonlyMap<string, string> {
  const carriers = new Map(
    anatomy.assemblies.flatMap(({ id, carrier, freedBy }) => (carrier ? [[id, { carrier, freedBy: freedBy ?? [] }]] : [])),
  );
  const byId = new Map(anatomy.positions.map((position) => [position.id, position]));
  const carrierOf = (id: string): string | undefined => {
    const unit = carriers.get(byId.get(id)?.assemblyId ?? "");
    return !unit || out.has(id) || unit.carrier === id || unit.freedBy.includes(id) ? undefined : unit.carrier;
  };
  return new Map(
    anatomy.positions.flatMap(({ id }): [string, string][] => {
      const carrier = chainOf(id, carrierOf).find((one) => out.has(one));
      return carrier === undefined ? [] : [[id, carrier]];
    }),
  );
}

/**
 * The machine with what rides on a part as one with it: every tie of a rider to something else is its carrier's tie. Where that would tie a knot
 * the tie is left out, for what rides on a part cannot hold it.
 */
export const foldRiders: (anatomy: Anatomy, ridesOn: ReadonlyMap<string, string>) => Anatomy = kept(folded, (ridesOn) =>
  JSON.stringify([...ridesOn].sort()),
);

function folded(anatomy: Anatomy, ridesOn: ReadonlyMap<string, string>): Anatomy {
  if (!ridesOn.size) return anatomy;
  const as = (id: string): string => ridesOn.get(id) ?? id;
  const constraints = seatConstraints(anatomy);
  const over = new Map<string, Set<string>>();
  const tie = (low: string, high: string) => over.set(low, (over.get(low) ?? new Set()).add(high));
  for (const { before, after } of constraints) if (!ridesOn.has(before) && !ridesOn.has(after)) tie(before, after);
  const reaches = (from: string, to: string): boolean => {
    const seen = new Set([from]);
    for (const id of seen) for (const other of over.get(id) ?? []) seen.add(other);
    return seen.has(to);
  };
  const more = new Map<string, Set<string>>();
  for (const { before, after } of constraints) {
    if (!ridesOn.has(before) && !ridesOn.has(after)) continue;
    const [low, high] = [as(before), as(after)];
    // A tie that runs against what stands already would be a knot.
    if (low === high || reaches(high, low)) continue;
    tie(low, high);
    more.set(high, (more.get(high) ?? new Set()).add(low));
  }
  return {
    ...anatomy,
    positions: anatomy.positions
      .filter(({ id }) => !ridesOn.has(id))
      .map((position) => {
        const keep = (ids: readonly string[]) => ids.filter((id) => !ridesOn.has(id));
        const { ridesOn: axle, insideOf, ...seat } = position;
        return {
          ...seat,
          restsOn: [...new Set([...keep(seat.restsOn), ...(more.get(position.id) ?? [])])],
          passesThrough: keep(seat.passesThrough),
          heldBy: keep(seat.heldBy),
          ...(axle !== undefined && !ridesOn.has(axle) ? { ridesOn: axle } : {}),
          ...(insideOf !== undefined && !ridesOn.has(insideOf) ? { insideOf } : {}),
        };
      }),
  };
}
