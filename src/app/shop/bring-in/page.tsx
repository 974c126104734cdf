import Link from "next/link";
import { readPage } from "@/app/server/reading";
import { bringInKinds } from "@/core/bring-in/kinds";
import { listBroughtIn } from "@/data/shop/bring-in";
import { instantWords } from "@/ui/dates";
import { Sheet } from "@/ui/sheets/sheet";
import { BringInSheet } from "@/ui/shop/bring-in-sheet";

export const metadata = { title: "Bring in" };

/** Customers, reels, stock, suppliers and prices out of a spreadsheet. */
export default async function BringInPage() {
  const db = await readPage("shop");
  return (
    <Sheet fill>
      <Link className="act-link" href="/shop">
        Shop
      </Link>
      <BringInSheet
        earlier={listBroughtIn(db).map(({ id, kind, file, rows, at, undoneAt }) => ({
          id,
          words: `${bringInKinds[kind].name}: ${rows} row${rows === 1 ? "" : "s"} of ${file}, ${instantWords(at)}`,
          undone: undoneAt === null ? null : instantWords(undoneAt),
        }))}
      />
    </Sheet>
  );
}
