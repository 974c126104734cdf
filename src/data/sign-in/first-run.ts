import type { ShopSettings } from "@/core/shop/settings";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { rootOf } from "@/data/database/read-once";
import { renamePerson } from "@/data/shop/people";
import { getShopSettings, saveShopSettings } from "@/data/shop/settings";
import { setSecret } from "@/data/sign-in/secrets";

/** A shop is not founded twice: once it is, nobody asks again. */
const known = new WeakSet<Db>();

/** Whether anybody has said what this shop is, or worked in it. */
export function isFounded(db: Db): boolean {
  const root = rootOf(db);
  if (known.has(root)) return true;
  const founded =
    db
      .prepare(
        "SELECT EXISTS (SELECT 1 FROM setting WHERE key = 'shop') OR EXISTS (SELECT 1 FROM job) OR EXISTS (SELECT 1 FROM model) OR EXISTS (SELECT 1 FROM customer)",
      )
      .pluck()
      .get() === 1;
  if (founded) known.add(root);
  return founded;
}

export type FirstRun = Pick<
  ShopSettings,
  "shopName" | "currency" | "taxBasisPoints" | "ratePerHourMinor" | "benchHoursPerDay" | "openOn" | "locale"
> & {
  readonly personName: string;
  /** Empty where it waits. */
  readonly passphrase: string;
};

/** What has to be known before the first reel comes; everything else is at Shop and has a usual value. @throws Refusal where it was said already. */
export function foundShop(ctx: Context, { personName, passphrase, ...said }: FirstRun): void {
  if (isFounded(ctx.db)) throw new Refusal("founded", "This shop has its name already. Change it at Shop.", null, { to: "people" });
  renamePerson(ctx, ctx.person.id, personName);
  saveShopSettings(ctx, { ...getShopSettings(ctx.db), ...said });
  if (passphrase) setFirstPassphrase(ctx, passphrase);
}

function setFirstPassphrase(ctx: Context, passphrase: string): void {
  try {
    setSecret(ctx, ctx.person.id, "passphrase", { now: passphrase, before: "" });
  } catch (error) {
    // Said at the field it has on the first page.
    throw error instanceof Refusal ? new Refusal(error.code, error.message, "passphrase") : error;
  }
}
