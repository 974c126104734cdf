import { restore } from "@/data/database/backup";
import { openDatabase } from "@/data/database/database";
import { eraseAgain, leaveNoTrace } from "@/data/erasing/erase";
import { ensureFirstPerson } from "@/data/shop/people";
import { endEverySession } from "@/data/sign-in/sessions";

/**
 * Puts a copy in the place of a shop's data, ends every session it knew, and erases again whoever was erased since.
 * @returns in words where what was there before lies and whom the copy still knew. @throws Error as restore does: then nothing was changed.
 */
export function restoreShop(directory: string, name: string, now: Date): string {
  const { before } = restore(directory, name, now);
  const db = openDatabase(directory);
  try {
    const at = now.toISOString();
    const { erased, left } = db.transaction(() => {
      // Who was put out since the copy was made does not come back with it: everybody signs in anew.
      endEverySession(db, at);
      return eraseAgain({ db, person: ensureFirstPerson(db), now: at }, directory);
    })();
    if (erased) leaveNoTrace(db);
    else db.pragma("wal_checkpoint(TRUNCATE)");
    return [
      before && `The previous data is in ${before}.`,
      erased && `${erased} erased since then ${erased === 1 ? "was" : "were"} erased again.`,
      left &&
        `${left} erased since then ${left === 1 ? "has" : "have"} a reel in the shop in this copy: return it, then erase them at the Ledger.`,
    ]
      .filter(Boolean)
      .join(" ");
  } finally {
    db.close();
  }
}
