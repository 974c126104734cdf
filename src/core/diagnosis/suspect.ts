import type { Diagnosis } from "./diagnose";
import type { Fault, Remedy } from "./fault";
import type { ReelSection } from "./isolation";

/** A fault that may be the reel's, with what points to it. */
export interface Suspect {
  readonly id: string;
  readonly name: string;
  readonly section: ReelSection;
  readonly probability: number;
  readonly spokenFor: boolean;
  readonly feltAs: string;
  readonly tellBy: string;
  readonly remedy: string;
  readonly minutes: number;
  readonly caution: string;
  readonly partRoles: readonly string[];
  readonly reasons: readonly { readonly words: string; readonly bits: number; readonly there: boolean }[];
  /** Proved, ruled out, or null while it is open. */
  readonly settled: boolean | null;
  /** It is among the job's faults. */
  readonly task: boolean;
}

const mostReasons = 5;

/** The faults of a diagnosis as suspects, those in question first. @param settled proved and ruled out so far. @param tasks faults taken into the job. @param remedyOf what is done about it on this reel. */
export const suspectsOf = (
  { ranked, settled: done }: Pick<Diagnosis, "ranked" | "settled">,
  nameOf: (finding: string) => string,
  settled: ReadonlyMap<string, boolean>,
  tasks: ReadonlySet<string>,
  remedyOf: (fault: Fault) => Remedy = ({ remedy }) => remedy,
): Suspect[] =>
  [...ranked, ...done].map(({ fault, probability, spokenFor, reasons }) => ({
    id: fault.id,
    name: fault.name,
    section: fault.section,
    probability,
    spokenFor,
    feltAs: fault.feltAs,
    tellBy: fault.tellBy,
    remedy: remedyOf(fault).words,
    minutes: fault.remedy.minutes,
    caution: fault.caution ?? "",
    partRoles: [...fault.remedy.partRoles, ...(fault.needs ? [fault.needs] : [])],
    reasons: reasons.slice(0, mostReasons).map(({ finding, bits, there }) => ({ words: nameOf(finding), bits, there })),
    settled: settled.get(fault.id) ?? null,
    task: tasks.has(fault.id),
  }));
