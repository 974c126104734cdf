import { readPage } from "@/app/server/reading";
import { isShopsOwn } from "@/core/diagnosis/finding-table";
import { faultsWithSigns } from "@/core/diagnosis/knowledge-page";
import { knowledgeFaults, knowledgeOf, listStrengths } from "@/data/diagnosis/knowledge";
import { KnowledgeSheet } from "@/ui/shop/knowledge-sheet";

export const metadata = { title: "Faults and signs" };

/** What the diagnosis reasons from, and the shop's own word on it. */
export default async function KnowledgePage() {
  const db = await readPage("shop");
  const knowledge = knowledgeOf(db);
  return (
    <KnowledgeSheet
      faults={faultsWithSigns(knowledge, listStrengths(db))}
      findings={knowledge.findings.map(({ id, name, area }) => ({ id, name, area, own: isShopsOwn(id) }))}
      loose={knowledgeFaults(db)}
    />
  );
}
