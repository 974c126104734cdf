import Link from "next/link";
import { readPage } from "@/app/server/reading";
import { hasModels } from "@/data/catalogue/model-list";
import { dataDirectory } from "@/data/database/database";
import { getShopSettings } from "@/data/shop/settings";
import { Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Where to begin" };

/** The doors out of the first page: a reel on the counter, a model before it, or a look round in a shop that is not yours. */
export default async function DoorsPage() {
  const db = await readPage("shop");
  const { shopName } = getShopSettings(db);
  const anyModel = hasModels(db);
  return (
    <Sheet fill>
      <h1>{shopName}: where to begin</h1>
      <ul className="mt-4 flex max-w-3xl flex-col gap-6">
        <li>
          <Link className="key key-main inline-flex" href="/counter">
            Check in the first reel
          </Link>
          <p className="mt-2">
            {anyModel
              ? "Customer, reel, complaint: one page."
              : "Customer, reel, complaint: one page. No model is in the library yet; you can check in a reel without one; stripping it makes its schematic."}
          </p>
        </li>
        <li>
          <Link className="key inline-flex" href="/library">
            Make a model first
          </Link>
          <p className="mt-2">From its family: its drawing, build order and diagnosis come with it. Or bring in a model's file.</p>
        </li>
        <li>
          <Link className="key inline-flex" href="/shop/bring-in">
            Bring data in
          </Link>
          <p className="mt-2">
            Customers, reels with their visits, stock, suppliers and price lists out of a spreadsheet; each import can be undone.
          </p>
        </li>
        <li>
          <h2>Try the demo shop</h2>
          <p>
            In a second window of the terminal: <code className="num">npm run demo</code>. It uses a folder of its own and leaves your data
            alone. Yours is in <code className="num">{dataDirectory()}</code>.
          </p>
        </li>
      </ul>
    </Sheet>
  );
}
