import "server-only";
import { cookies } from "next/headers";
import { cache } from "react";
import { ensureFirstPerson, findPerson } from "@/data/shop/people";
import type { Person, Role } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { personCookie } from "@/ui/act/press";

/** Who is at the bench, looked up once a request: chosen at Shop and kept in a cookie; on a loopback server nobody signs in. */
export const currentPerson = cache(async (db: Db): Promise<Person> => {
  const chosen = Number((await cookies()).get(personCookie)?.value);
  return (Number.isInteger(chosen) ? findPerson(db, chosen) : null) ?? ensureFirstPerson(db);
});

/** What an act changes; each role may change some. */
export type Permission = "counter" | "bench" | "stores" | "shop";
const mayChange: Readonly<Record<Permission, readonly Role[]>> = {
  counter: ["owner", "counter", "bench"],
  bench: ["owner", "bench"],
  stores: ["owner", "bench", "counter"],
  shop: ["owner"],
};
export const mayDo = ({ role }: Person, permission: Permission): boolean => mayChange[permission].includes(role);

/** What a page, a picture or a paper shows; whoever works here may read all of it today. */
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
  // All of the shop as one file.
  everything: ["owner"],
};
export const mayRead = ({ role }: Person, reading: Reading): boolean => maySee[reading].includes(role);
