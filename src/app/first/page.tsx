import { redirect } from "next/navigation";
import { getDb } from "@/app/server/db";
import { readerOf } from "@/app/server/reading";
import { formatMinor } from "@/core/money/money";
import { dataDirectory } from "@/data/database/database";
import { getShopSettings } from "@/data/shop/settings";
import { isFounded } from "@/data/sign-in/first-run";
import { Sheet } from "@/ui/sheets/sheet";
import { FirstForm } from "@/ui/shop/first-form";

export const metadata = { title: "Set up your shop" };

/** The first page of an empty directory: what a shop has to say of itself before its first reel. */
export default async function FirstPage() {
  const db = getDb();
  await readerOf(db);
  if (isFounded(db)) redirect("/first/doors");
  const { currency, taxBasisPoints, ratePerHourMinor, benchHoursPerDay, locale } = getShopSettings(db);
  return (
    <Sheet fill>
      <FirstForm
        directory={dataDirectory()}
        values={{
          shopName: "",
          currency,
          taxBasisPoints: String(taxBasisPoints / 100),
          ratePerHourMinor: formatMinor(ratePerHourMinor),
          benchHoursPerDay: String(benchHoursPerDay),
          personName: "",
          passphrase: "",
          locale,
          openOn: [1, 2, 3, 4, 5, 6],
        }}
      />
    </Sheet>
  );
}
