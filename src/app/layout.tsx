import type { Metadata, Viewport } from "next";
import { cookies } from "next/headers";
import { unstable_rethrow } from "next/navigation";
import type { ReactNode } from "react";
import { getDb } from "@/app/server/db";
import { whoAsks } from "@/app/server/person";
import { whyUnusable } from "@/app/server/why-unusable";
import { restoreUnusable } from "@/app/shop/unusable-actions";
import type { ShopSettings } from "@/core/shop/settings";
import { paletteOf } from "@/core/vocabulary/palettes";
import { clockSetBack } from "@/data/database/clock-set-back";
import type { Person } from "@/data/database/context";
import { troubleOf } from "@/data/database/trouble";
import { DataUnusable } from "@/data/database/unusable";
import { getShopSettings } from "@/data/shop/settings";
import { QueueProvider } from "@/ui/act/queue-provider";
import { KeysProvider } from "@/ui/keys/keys";
import { Rail } from "@/ui/shell/rail";
import { SoakBell } from "@/ui/shell/soak-bell";
import { Spoken } from "@/ui/shell/spoken";
import { Unusable } from "@/ui/shell/unusable";
import "./globals.css";

/** Every page is made when it is asked for: one made at build time would open a shop's data and show it stale. */
export const dynamic = "force-dynamic";
export const metadata: Metadata = {
  title: { default: "Zorbek", template: "%s · Zorbek" },
  description: "A bench companion for the reel repairer",
};
export const viewport: Viewport = {
  themeColor: [
    { media: "(prefers-color-scheme: light)", color: "#A9ADA3" },
    { media: "(prefers-color-scheme: dark)", color: "#151918" },
  ],
};

/** What every page needs of the data; or what is wrong with it. */
async function dataOrWhyNot(): Promise<
  { person: Person | null; settings: ShopSettings; clock: string | null } | { unusable: DataUnusable }
> {
  try {
    const db = getDb();
    const { person } = await whoAsks(db);
    return { person, settings: getShopSettings(db), clock: clockSetBack(db, new Date()) };
  } catch (error) {
    unstable_rethrow(error);
    if (error instanceof DataUnusable) return { unusable: error };
    const trouble = troubleOf(error);
    if (trouble) return { unusable: new DataUnusable("cannot-open", trouble.message, trouble.remedy, { cause: error }) };
    throw error;
  }
}

export default async function RootLayout({ children }: { children: ReactNode }) {
  const data = await dataOrWhyNot();
  if ("unusable" in data) return <Unusable {...(await whyUnusable(data.unusable))} putBack={restoreUnusable} />;
  const { person, settings, clock } = data;
  return (
    <html lang="en" data-palette={paletteOf((await cookies()).get("palette")?.value)}>
      <body>
        <Spoken locale={settings.locale}>
          <KeysProvider footSwitchKey={settings.footSwitchKey} shortcutsOn={settings.shortcuts}>
            <QueueProvider>
              <a className="skip-link act-link" href="#page">
                Skip to the page
              </a>
              {person && <Rail person={person.name} />}
              {person && <SoakBell />}
              <main id="page" tabIndex={-1} className="p-4">
                {clock && (
                  <p role="alert" className="alarm mb-3">
                    {clock}
                  </p>
                )}
                {children}
              </main>
            </QueueProvider>
          </KeysProvider>
        </Spoken>
      </body>
    </html>
  );
}
