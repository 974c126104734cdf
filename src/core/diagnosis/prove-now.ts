import { type Diagnosis, isReal } from "./diagnose";
import type { Fault } from "./fault";
import type { FindingId } from "./finding-table";
import type { Knowledge } from "./knowledge";

/** Above this a fault whose own sign was seen is what is wrong, and only a person's word is missing (rule of thumb). */
const sureEnough = 0.9;

/**
 * The fault to be called proved next: one whose own sign somebody has just seen, and which nothing else explains as well. A person says so;
 * without the word it is only likely, and the report may not call it found.
 * @param looks what was looked at, and whether it was so
 */
export function proveNow(
  { ranked }: Pick<Diagnosis, "ranked">,
  { links }: Pick<Knowledge, "links">,
  looks: ReadonlyMap<FindingId, boolean>,
): Fault | null {
  const shown = new Set(links.flatMap(({ fault, finding, strength }) => (strength === "always" && looks.get(finding) ? [fault] : [])));
  return ranked.find(({ fault, probability }) => isReal(fault) && probability >= sureEnough && shown.has(fault.id))?.fault ?? null;
}
