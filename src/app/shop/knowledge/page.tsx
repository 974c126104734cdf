import { commonKnowledge } from "@/core/diagnosis/knowledge";
import { knowledgeFaults, knowledgeOf, listStrengths } from "@/data/diagnosis/knowledge";
import { KnowledgeSheet } from "@/ui/shop/knowledge-sheet";
import { getDb } from "../../server";
import { learnFault, learnSign, sayStrength } from "./actions";

export const metadata = { title: "Faults and signs" };

const commonStrength = new Map(commonKnowledge.links.map(({ fault, finding, strength }) => [`${fault} ${finding}`, strength]));

/** What the diagnosis reasons from, and the shop's own word on it. */
export default function KnowledgePage() {
  const db = getDb();
  const { faults, findings, links } = knowledgeOf(db);
  const said = new Map(listStrengths(db).map((one) => [`${one.fault} ${one.finding}`, one]));
  const nameOf = new Map(findings.map(({ id, name }) => [id, name]));
  return (
    <KnowledgeSheet
      faults={faults.map(({ id, name, section, tellBy, remedy }) => ({
        id,
        name,
        section,
        tellBy,
        remedy: `${remedy.words} (${remedy.minutes} min)`,
        own: id.startsWith("shop-"),
        links: [
          ...links
            .filter((link) => link.fault === id)
            .map(({ finding, strength, note }) => ({ finding, strength, note, own: said.has(`${id} ${finding}`) })),
          // What the shop struck stays to be seen, and to be taken back.
          ...[...said.values()]
            .filter((one) => one.fault === id && one.strength === null)
            .map(({ finding, note }) => ({ finding, strength: null, note, own: true })),
        ].map((link) => ({
          ...link,
          name: nameOf.get(link.finding) ?? link.finding,
          common: commonStrength.get(`${id} ${link.finding}`) ?? null,
        })),
      }))}
      findings={findings.map(({ id, name, area }) => ({ id, name, area, own: id.startsWith("shop-") }))}
      loose={knowledgeFaults(db)}
      learnFault={learnFault}
      learnSign={learnSign}
      sayStrength={sayStrength}
    />
  );
}
