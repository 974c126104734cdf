import type { ReelSection } from "./isolation";

export interface Remedy {
  readonly words: string;
  readonly minutes: number;
  /** Roles of the parts this remedy may need; the job finds them among the model's positions. */
  readonly partRoles: readonly string[];
}

export interface Fault {
  readonly id: string;
  readonly name: string;
  readonly section: ReelSection;
  /** What the customer or the hand feels. */
  readonly feltAs: string;
  /** How to tell it from its neighbours. */
  readonly tellBy: string;
  readonly remedy: Remedy;
  readonly caution?: string;
  /** A part role the reel must have for this fault to be possible at all. */
  readonly needs?: string;
}

/** One fault as a row: id, name, section, part role it needs, felt as, told by, remedy, minutes, part roles, caution. */
export type FaultRow = readonly [
  id: string,
  name: string,
  section: ReelSection,
  needs: string | null,
  feltAs: string,
  tellBy: string,
  remedy: string,
  minutes: number,
  partRoles: readonly string[],
  caution?: string,
];

export const faultOf = ([id, name, section, needs, feltAs, tellBy, words, minutes, partRoles, caution]: FaultRow): Fault => ({
  id,
  name,
  section,
  feltAs,
  tellBy,
  remedy: { words, minutes, partRoles },
  ...(needs ? { needs } : {}),
  ...(caution ? { caution } : {}),
});
