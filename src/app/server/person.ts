import "server-only";
import { cookies, headers } from "next/headers";
import { cache } from "react";
import type { Role } from "@/core/sign-in/permissions";
import type { Person } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { ensureFirstPerson, listPeople } from "@/data/shop/people";
import { secretsOf } from "@/data/sign-in/secrets";
import { type From, findSession, type Session, touchSession } from "@/data/sign-in/sessions";
import { fromSocket } from "./socket";

/** Who asks: somebody, from a device; or nobody yet, and what would let them in. */
export type Asking =
  | { readonly person: Person; readonly session: Session | null; readonly from: From }
  | { readonly person: null; readonly lacks: "server" | "sign-in" | "rest" | "choice"; readonly from: From | null };

/** Over the network the cookie is bound to this one origin and to TLS (RFC 6265bis, the __Host- prefix); on the machine itself there is no TLS. */
export const cookieOf = (over: From["over"]): string => (over === "network" ? "__Host-zorbek" : "zorbek-here");

/** Keeps a session's token in the browser: not for scripts, not for requests from other pages, and no longer than the browser is open. */
export async function keepToken(over: From["over"], token: string): Promise<void> {
  (await cookies()).set(cookieOf(over), token, { httpOnly: true, sameSite: "strict", path: "/", secure: over === "network" });
}

/** A device somebody came in from over the network is known again for a year: it lets nobody in, it only waits for nobody else's tries. */
const deviceCookie = "__Host-zorbek-device";
const deviceSeconds = 365 * 86_400;
export const knownDevice = async (): Promise<string> => (await cookies()).get(deviceCookie)?.value.slice(0, 100) ?? "";
export async function keepDevice(token: string): Promise<void> {
  (await cookies()).set(deviceCookie, token, { httpOnly: true, sameSite: "strict", path: "/", secure: true, maxAge: deviceSeconds });
}

/**
 * Who is at this device, looked up once a request. Over the network by a session that somebody signed in for; on the machine itself by the person
 * chosen at Shop, else the first one as long as that person has no PIN.
 */
export const whoAsks = cache(async (db: Db): Promise<Asking> => {
  const from = await fromSocket();
  if (!from) return { person: null, lacks: "server", from };
  const now = new Date().toISOString();
  const token = (await cookies()).get(cookieOf(from.over))?.value;
  const found = token ? findSession(db, token, now) : null;
  if (found && found.state !== "over" && found.session.over === from.over) {
    if (found.state === "rests") return { person: null, lacks: "rest", from };
    try {
      touchSession(db, found.session, now);
    } catch {
      // Somebody else writes, or the disk is full: the session lives on from when it was noted last.
    }
    return { person: found.session.person, session: found.session, from };
  }
  if (from.over === "network") return { person: null, lacks: "sign-in", from };
  const first = ensureFirstPerson(db);
  const open = secretsOf(db, first.id).pin ? listPeople(db).find(({ id, role }) => role !== "owner" && !secretsOf(db, id).pin) : first;
  return open ? { person: open, session: null, from } : { person: null, lacks: "choice", from };
});

/** Where whoever is nobody yet becomes somebody, and comes back from there. */
export async function wayIn(): Promise<string> {
  const here = (await headers()).get("x-zorbek-path") ?? "/";
  return `/sign-in?then=${encodeURIComponent(here)}`;
}

/** What a page, a picture or a paper shows; whoever works here may read all of the work. */
export type Reading = "rack" | "jobs" | "customers" | "stores" | "library" | "gauges" | "ledger" | "shop" | "everything";
const everybody: readonly Role[] = ["owner", "bench", "counter"];
const maySee: Readonly<Record<Reading, readonly Role[]>> = {
  rack: everybody,
  jobs: everybody,
  customers: everybody,
  stores: everybody,
  library: everybody,
  gauges: everybody,
  ledger: everybody,
  shop: everybody,
  // All of the shop as one file, or all of one person.
  everything: ["owner"],
};
export const mayRead = ({ role }: Person, reading: Reading): boolean => maySee[reading].includes(role);
