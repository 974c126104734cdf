import { isShopsOwn } from "@/core/diagnosis/finding-table";
import type { ReelSection } from "./isolation";
import { commonKnowledge, type Knowledge, type ShopStrength } from "./knowledge";
import type { Strength } from "./strength-table";

/** How often a fault brings a sign about, as the page of faults and signs shows it. */
export interface SignOfFault {
  readonly finding: string;
  readonly name: string;
  /** Null where the shop struck the pair. */
  readonly strength: Strength | null;
  readonly note: string;
  /** The shop's own word. */
  readonly own: boolean;
  /** What the common tables say of the pair; null where they say nothing. */
  readonly common: Strength | null;
}

export interface FaultWithSigns {
  readonly id: string;
  readonly name: string;
  readonly section: ReelSection;
  readonly tellBy: string;
  readonly remedy: string;
  readonly own: boolean;
  readonly links: readonly SignOfFault[];
}

const commonStrength = new Map(commonKnowledge.links.map(({ fault, finding, strength }) => [`${fault} ${finding}`, strength]));

/** Every fault with its signs: the tables, and the shop's word over them. What the shop struck stays to be seen, and to be taken back. */
export function faultsWithSigns({ faults, findings, links }: Knowledge, said: readonly ShopStrength[]): FaultWithSigns[] {
  const nameOf = new Map<string, string>(findings.map(({ id, name }) => [id, name]));
  const own = new Set(said.map(({ fault, finding }) => `${fault} ${finding}`));
  return faults.map(({ id, name, section, tellBy, remedy }) => ({
    id,
    name,
    section,
    tellBy,
    remedy: `${remedy.words} (${remedy.minutes} min)`,
    own: isShopsOwn(id),
    links: [
      ...links.filter(({ fault }) => fault === id).map(({ finding, strength, note }) => ({ finding, strength, note })),
      ...said
        .filter(({ fault, strength }) => fault === id && strength === null)
        .map(({ finding, note }) => ({ finding, strength: null, note })),
    ].map((link) => ({
      ...link,
      own: own.has(`${id} ${link.finding}`),
      name: nameOf.get(link.finding) ?? link.finding,
      common: commonStrength.get(`${id} ${link.finding}`) ?? null,
    })),
  }));
}
