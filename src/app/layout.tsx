import type { Metadata, Viewport } from "next";
import type { ReactNode } from "react";
import { getDb } from "@/app/server/db";
import { currentPerson } from "@/app/server/person";
import { getShopSettings } from "@/data/shop/settings";
import type { Db } from "@/data/store/database";
import { DataUnusable } from "@/data/store/unusable";
import { QueueProvider } from "@/ui/act/queue-provider";
import { KeysProvider } from "@/ui/keys/keys";
import { Sheet } from "@/ui/sheets/sheet";
import { Rail } from "@/ui/shell/rail";
import { SoakBell } from "@/ui/shell/soak-bell";
import "./globals.css";

/** Every page is made when it is asked for: one made at build time would open a shop's data and show it stale. */
export const dynamic = "force-dynamic";
export const metadata: Metadata = {
  title: { default: "Zorbek", template: "%s · Zorbek" },
  description: "A bench companion for the reel repairer",
};
export const viewport: Viewport = { themeColor: "#A9ADA3" };

/** Without data there are no rooms: one page says what is wrong with it and what to do. */
function dataOrWhyNot(): { db: Db } | { unusable: DataUnusable } {
  try {
    return { db: getDb() };
  } catch (error) {
    if (error instanceof DataUnusable) return { unusable: error };
    throw error;
  }
}

export default async function RootLayout({ children }: { children: ReactNode }) {
  const data = dataOrWhyNot();
  if ("unusable" in data)
    return (
      <html lang="en">
        <body>
          <main className="p-4">
            <Sheet>
              <h1>Zorbek cannot work with this data</h1>
              <p className="mt-2">{data.unusable.message}</p>
              <p className="mt-2 font-semibold">{data.unusable.remedy}</p>
            </Sheet>
          </main>
        </body>
      </html>
    );
  const { db } = data;
  const person = await currentPerson(db);
  const settings = getShopSettings(db);
  return (
    <html lang="en">
      <body>
        <KeysProvider footSwitchKey={settings.footSwitchKey} shortcutsOn={settings.shortcuts}>
          <QueueProvider>
            <Rail person={person.name} />
            <SoakBell />
            <main className="p-4">{children}</main>
          </QueueProvider>
        </KeysProvider>
      </body>
    </html>
  );
}
