import { defaultShopSettings, type ShopSettings, seenSettings, shopSettingsSchema } from "@/core/shop/settings";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";

/** The shop's rules; what was never set is the default. @throws ZodError when what is stored no longer fits: better than working with half of it. */
export function getShopSettings(db: Db): ShopSettings {
  const row = db.prepare("SELECT value FROM setting WHERE key = 'shop'").get() as { value: string } | undefined;
  return row ? shopSettingsSchema.parse({ ...defaultShopSettings, ...(JSON.parse(row.value) as object) }) : defaultShopSettings;
}

/** @param seen the settings as they were on the page; null where nobody looked. @throws Refusal when they were changed since. */
export function saveShopSettings(ctx: Context, settings: ShopSettings, seen: string | null = null): void {
  refuseUnseen(seen, seenSettings(getShopSettings(ctx.db)), "The shop's rules");
  ctx.db
    .prepare("INSERT INTO setting (key, value) VALUES ('shop', ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value")
    .run(JSON.stringify(settings));
  writeJournal(ctx, "shop-settings-saved", {}, settings);
}
