import type { Fault } from "./fault";
import type { FindingSpec } from "./finding-table";
import type { Look } from "./look-table";
import type { Link } from "./strength-table";

/** As much of the knowledge as hangs together or does not. */
export interface CheckedKnowledge {
  readonly faults: readonly Pick<Fault, "id">[];
  readonly findings: readonly Pick<FindingSpec, "id">[];
  readonly looks: ReadonlyMap<string, Pick<Look, "finding">>;
  readonly links: readonly Link[];
  readonly hasPrior: (faultId: string) => boolean;
}

/** What is wrong with the knowledge itself: words that name nothing, orphans, and faults that no look can tell apart. Empty when nothing is. */
export function checkKnowledge({ faults, findings, looks, links, hasPrior }: CheckedKnowledge): string[] {
  const told: string[] = [];
  const faultIds = new Set(faults.map(({ id }) => id));
  const findingIds = new Set<string>(findings.map(({ id }) => id));
  const seen = new Set<string>();
  for (const { fault, finding } of links) {
    if (!faultIds.has(fault)) told.push(`A link names the fault ${fault}, which there is not.`);
    if (!findingIds.has(finding)) told.push(`${fault} is linked to ${finding}, which is no finding.`);
    if (seen.has(`${fault} ${finding}`)) told.push(`${fault} is linked to ${finding} twice.`);
    seen.add(`${fault} ${finding}`);
  }
  for (const { id } of faults) {
    if (!hasPrior(id)) told.push(`How common ${id} is, is missing.`);
    const own = links.filter((link) => link.fault === id);
    if (!own.length) told.push(`${id} causes nothing: no check can find it.`);
    else if (!own.some(({ strength }) => strength === "always"))
      told.push(`${id} has no sign that is always there: no check can prove it.`);
  }
  for (const { id } of findings) {
    if (!looks.has(id)) told.push(`No way to check ${id} is given.`);
    if (!links.some((link) => link.finding === id)) told.push(`Nothing causes ${id}.`);
  }
  const signature = (id: string) =>
    links
      .filter((link) => link.fault === id)
      .map((link) => `${link.finding} ${link.strength}`)
      .sort()
      .join(", ");
  const bySignature = new Map<string, string[]>();
  for (const { id } of faults) bySignature.set(signature(id), [...(bySignature.get(signature(id)) ?? []), id]);
  for (const alike of bySignature.values())
    if (alike.length > 1) told.push(`No check tells ${alike.join(" and ")} apart: they cause the same signs.`);
  return told;
}
