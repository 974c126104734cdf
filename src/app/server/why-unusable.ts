import "server-only";
import { DateTime } from "luxon";
import { listBackups } from "@/data/database/backup";
import { dataDirectory } from "@/data/database/database";
import type { DataUnusable } from "@/data/database/unusable";
import { fromSocket } from "./socket";

/** What a page says that needs no database: what is wrong, what to do, and on this computer the copies that can be put back. */
export async function whyUnusable({ message, remedy, code }: DataUnusable) {
  const here = (await fromSocket())?.over === "loopback";
  const copies = here && (code === "cannot-open" || code === "emptied") ? copiesNow() : [];
  return { message, remedy, copies };
}

function copiesNow(): { name: string; words: string }[] {
  try {
    return listBackups(dataDirectory()).map(({ name, at }) => ({ name, words: DateTime.fromISO(at).toFormat("d LLL yyyy, HH:mm") }));
  } catch {
    return [];
  }
}
