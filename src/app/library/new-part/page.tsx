import { readPage } from "@/app/server/reading";
import { getShopSettings } from "@/data/shop/settings";
import { NewPartSheet } from "@/ui/library/new-part-sheet";

export const metadata = { title: "New part" };

export default async function NewPartPage({ searchParams }: { searchParams: Promise<{ number?: string }> }) {
  const { number = "" } = await searchParams;
  return <NewPartSheet number={number.slice(0, 40)} currency={getShopSettings(await readPage("library")).currency} />;
}
