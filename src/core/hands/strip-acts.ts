import { seatConstraints } from "@/core/anatomy/constraints";
import { isLeftHand } from "@/core/anatomy/thread";
import type { Anatomy, Batch, PartType, Position } from "@/core/anatomy/types";

/** One act of the hands coming off: the seats it empties, in their order, and what it is called. */
export interface StripAct {
  readonly positionIds: readonly string[];
  /** The batch they are of; null for one part by itself. */
  readonly batch: Batch | null;
}

/** What a strip goes by: the machine, what hands do as one, what is to come off in which order, and what stays on what carries it. */
export interface StripGuide {
  readonly anatomy: Pick<Anatomy, "positions" | "assemblies">;
  readonly types: ReadonlyMap<string, PartType>;
  readonly batches: readonly Batch[];
  /** Seats expected off, in order; what is off already may be among them. */
  readonly expected: readonly string[];
}

/** What is said before the hand moves at a part; empty for most. An act says one such word, not two. */
export function stripWord(position: Position, type: PartType | undefined): string {
  return position.caution ?? type?.hazard ?? (type?.flies ? "flies" : isLeftHand(type) ? "left-hand" : "");
}

/** Whether a part can come off now: everything expected off that holds it, goes through it or lies on it is off. What stays never holds it. */
export function mayComeOff(guide: StripGuide): (id: string, off: ReadonlySet<string>) => boolean {
  const over = new Map<string, string[]>();
  for (const { before, after } of seatConstraints(guide.anatomy)) over.set(before, [...(over.get(before) ?? []), after]);
  const expected = new Set(guide.expected);
  return (id, off) => (over.get(id) ?? []).every((other) => off.has(other) || !expected.has(other));
}

/**
 * The act that begins with a part: with it all of its batch that comes along, but for parts about which another word has to be said.
 * @param off what lies in the tray.
 */
export function actFrom(guide: StripGuide, first: string, off: ReadonlySet<string>): StripAct {
  const byId = new Map(guide.anatomy.positions.map((position) => [position.id, position]));
  const batch = guide.batches.find(({ positionIds }) => positionIds.includes(first)) ?? null;
  if (!batch) return { positionIds: [first], batch: null };
  const mayGo = mayComeOff(guide);
  const gone = new Set(off).add(first);
  const act = [first];
  const wordAt = (id: string) => stripWord(byId.get(id)!, guide.types.get(byId.get(id)!.partTypeId));
  let word = wordAt(first);
  const members = guide.expected.filter((id) => batch.positionIds.includes(id) && !off.has(id) && id !== first);
  for (let grown = true; grown; ) {
    grown = false;
    for (const id of members) {
      if (gone.has(id) || !mayGo(id, gone)) continue;
      const own = wordAt(id);
      if (own && word && own !== word) continue;
      word ||= own;
      gone.add(id);
      act.push(id);
      grown = true;
    }
  }
  return { positionIds: act, batch: act.length > 1 ? batch : null };
}

/**
 * What comes off next: it goes on in the assembly that was touched last as long as something of it can, or works towards one the technician
 * named; else the order of the model. Null when nothing is expected any more.
 */
export function nextStripAct(
  guide: StripGuide,
  off: ReadonlySet<string>,
  hands: { readonly lastAssemblyId: string | null; readonly towardsAssemblyId?: string | null },
): StripAct | null {
  const byId = new Map(guide.anatomy.positions.map((position) => [position.id, position]));
  const left = guide.expected.filter((id) => !off.has(id));
  if (!left.length) return null;
  const mayGo = mayComeOff(guide);
  const free = left.filter((id) => mayGo(id, off));
  const towards = hands.towardsAssemblyId;
  if (towards) {
    const wanted = left.filter((id) => byId.get(id)!.assemblyId === towards);
    const needed = blockersOf(guide, wanted, off);
    const first = free.find((id) => needed.has(id));
    if (first) return actFrom(guide, first, off);
  }
  const here = free.find((id) => byId.get(id)!.assemblyId === hands.lastAssemblyId);
  return actFrom(guide, here ?? free[0] ?? left[0]!, off);
}

/** What has to come off before some seats are free, themselves among it. */
function blockersOf(guide: StripGuide, wanted: readonly string[], off: ReadonlySet<string>): Set<string> {
  const over = new Map<string, string[]>();
  for (const { before, after } of seatConstraints(guide.anatomy)) over.set(before, [...(over.get(before) ?? []), after]);
  const needed = new Set(wanted);
  const expected = new Set(guide.expected);
  for (const id of needed) for (const other of over.get(id) ?? []) if (!off.has(other) && expected.has(other)) needed.add(other);
  return needed;
}

/** Every act from here to the end, hands following themselves: for counting, and for showing what is still to come. */
export function allStripActs(guide: StripGuide, off: ReadonlySet<string> = new Set()): StripAct[] {
  const byId = new Map(guide.anatomy.positions.map((position) => [position.id, position]));
  const gone = new Set(off);
  const acts: StripAct[] = [];
  let lastAssemblyId: string | null = null;
  for (let act = nextStripAct(guide, gone, { lastAssemblyId }); act; act = nextStripAct(guide, gone, { lastAssemblyId })) {
    acts.push(act);
    for (const id of act.positionIds) gone.add(id);
    lastAssemblyId = byId.get(act.positionIds.at(-1)!)!.assemblyId;
  }
  return acts;
}
