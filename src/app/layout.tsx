import type { Metadata, Viewport } from "next";
import type { ReactNode } from "react";
import { getShopSettings } from "@/data/settings";
import { KeysProvider } from "@/ui/keys/keys";
import { Rail } from "@/ui/shell/rail";
import { SoakBell } from "@/ui/shell/soak-bell";
import "./globals.css";
import { currentPerson, getDb } from "./server";

/** Every page is made when it is asked for: one made at build time would open a shop's data and show it stale. */
export const dynamic = "force-dynamic";
export const metadata: Metadata = {
  title: { default: "Zorbek", template: "%s · Zorbek" },
  description: "A bench companion for the reel repairer",
};
export const viewport: Viewport = { themeColor: "#A9ADA3" };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const db = getDb();
  const person = await currentPerson(db);
  const settings = getShopSettings(db);
  return (
    <html lang="en">
      <body>
        <KeysProvider footSwitchKey={settings.footSwitchKey} shortcutsOn={settings.shortcuts}>
          <Rail person={person.name} />
          <SoakBell />
          <main className="p-4">{children}</main>
        </KeysProvider>
      </body>
    </html>
  );
}
