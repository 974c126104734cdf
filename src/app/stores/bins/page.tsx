import { readPage } from "@/app/server/reading";
import { findPartType } from "@/data/catalogue/part-types";
import { listDonorPieces } from "@/data/parts/donors";
import { listStock } from "@/data/parts/stock";
import { getShopSettings } from "@/data/shop/settings";
import { BinsSheet } from "@/ui/stores/bins-sheet";
import { countStock, giveUpBin, saveBin } from "../actions";

export const metadata = { title: "Bins" };

export default async function BinsPage({ searchParams }: { searchParams: Promise<{ part?: string }> }) {
  const db = await readPage("stores");
  const { part } = await searchParams;
  const wanted = part ? findPartType(db, part) : null;
  return (
    <BinsSheet
      stock={listStock(db)}
      donors={listDonorPieces(db)}
      currency={getShopSettings(db).currency}
      highlight={part ?? null}
      newNumber={wanted?.number ?? ""}
      count={countStock}
      save={saveBin}
      giveUp={giveUpBin}
    />
  );
}
