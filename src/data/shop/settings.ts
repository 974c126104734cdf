import { defaultShopSettings, type ShopSettings, seenSettings, shopSettingsSchema } from "@/core/shop/settings";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";

const textOfSetting = (db: Db, key: "shop" | "ordering"): string | undefined =>
  db.prepare("SELECT value FROM setting WHERE key = ?").pluck().get(key) as string | undefined;

/** What was set under a key, as it was written; null for nothing. */
export function readSetting(db: Db, key: "shop" | "ordering"): object | null {
  const value = textOfSetting(db, key);
  return value === undefined ? null : (JSON.parse(value) as object);
}

export const writeSetting = (db: Db, key: "shop" | "ordering", value: object): void => {
  db.prepare("INSERT INTO setting (key, value) VALUES (?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value").run(
    key,
    JSON.stringify(value),
  );
};

/** The shop's rules; what was never set is the default. @throws ZodError when what is stored no longer fits: better than working with half of it. */
export function getShopSettings(db: Db): ShopSettings {
  const written = textOfSetting(db, "shop");
  if (written === undefined) return defaultShopSettings;
  // Asked for many times an act, and changed a few times a year: the same text is read once.
  if (lastRead?.text !== written)
    lastRead = { text: written, settings: shopSettingsSchema.parse({ ...defaultShopSettings, ...(JSON.parse(written) as object) }) };
  return lastRead.settings;
}
let lastRead: { readonly text: string; readonly settings: ShopSettings } | null = null;

/** @param seen the settings as they were on the page; null where nobody looked. @throws Refusal when they were changed since. */
export function saveShopSettings(ctx: Context, settings: ShopSettings, seen: string | null = null): void {
  refuseUnseen(seen, seenSettings(getShopSettings(ctx.db)), "The shop's rules");
  writeSetting(ctx.db, "shop", settings);
  writeJournal(ctx, "shop-settings-saved", {}, settings);
}
