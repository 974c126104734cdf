"use server";
import { closeDb, getDb } from "@/app/server/db";
import { fromSocket } from "@/app/server/socket";
import { dataDirectory } from "@/data/database/database";
import { troubleOf } from "@/data/database/trouble";
import { DataUnusable } from "@/data/database/unusable";
import { restoreShop } from "@/data/erasing/restore-shop";
import { getShopSettings } from "@/data/shop/settings";

/** Whether the data can really not be worked with: only then is nobody asked who they are. */
function isUnusable(): boolean {
  try {
    getShopSettings(getDb());
    return false;
  } catch (error) {
    return error instanceof DataUnusable || troubleOf(error) !== null;
  }
}

/** Puts a copy in the place of data that cannot be opened, for whoever sits at this very computer. @returns what came of it, in words. */
export async function restoreUnusable(_: string, form: FormData): Promise<string> {
  if ((await fromSocket())?.over !== "loopback") return "Only at the bench computer itself.";
  if (!isUnusable()) return "The data can be opened again. Reload the page.";
  closeDb();
  try {
    return `Put back. ${restoreShop(dataDirectory(), String(form.get("copy")), new Date())} Reload the page.`;
  } catch (error) {
    return `Nothing was changed: ${troubleOf(error)?.message ?? (error as Error).message}`;
  }
}
