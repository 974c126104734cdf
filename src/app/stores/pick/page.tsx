import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { pickList } from "@/data/stores/pick-list";
import { dayWords } from "@/ui/dates";
import { PickSheet } from "@/ui/stores/pick-sheet";

export const metadata = { title: "Pick list" };

export default async function PickPage() {
  const db = await readPage("stores");
  const { day, ...list } = pickList(db, today());
  return <PickSheet {...list} day={dayWords(day)} />;
}
