import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { byWay } from "@/core/ordering/bin-label";
import { findPartType } from "@/data/catalogue/part-types";
import { listDonorPieces } from "@/data/parts/donors";
import { getShopSettings } from "@/data/shop/settings";
import { listLevels } from "@/data/stores/levels";
import { getOrderRules } from "@/data/stores/order-rules";
import { dateWords } from "@/ui/dates";
import { BinsSheet } from "@/ui/stores/bins-sheet";

export const metadata = { title: "Bins" };

export default async function BinsPage({ searchParams }: { searchParams: Promise<{ part?: string }> }) {
  const db = await readPage("stores");
  const { part } = await searchParams;
  const wanted = part ? findPartType(db, part) : null;
  return (
    <BinsSheet
      stock={byWay(listLevels(db, today())).map(({ use, asked, lastUsedAt, ...line }) => ({
        ...line,
        asked: asked.level,
        perYear: Math.round((use.pieces / use.days) * 365),
        lastUsed: lastUsedAt ? dateWords(lastUsedAt) : null,
      }))}
      donors={listDonorPieces(db)}
      currency={getShopSettings(db).currency}
      highlight={part ?? null}
      newNumber={wanted?.number ?? ""}
      runningOutChance={getOrderRules(db).runningOutChance}
    />
  );
}
