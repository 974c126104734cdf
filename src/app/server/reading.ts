import "server-only";
import { notFound, redirect } from "next/navigation";
import type { Person } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { readOnce } from "@/data/database/read-once";
import { getShopSettings } from "@/data/shop/settings";
import { isFounded } from "@/data/sign-in/first-run";
import { speak } from "@/ui/dates";
import { getDb } from "./db";
import { mayRead, type Reading, wayIn, whoAsks } from "./person";

/** The person a page is for. Nobody yet: sent to where they sign in. */
export async function readerOf(db: Db): Promise<Person> {
  const { person } = await whoAsks(db);
  return person ?? redirect(await wayIn());
}

/** The data for a page, once whoever asks may read it; to anybody else the page is not there. Every page begins with it. A shop that nobody has named begins there. */
export async function readPage(reading: Reading): Promise<Db> {
  const db = getDb();
  if (!mayRead(await readerOf(db), reading)) notFound();
  if (!isFounded(db)) redirect("/first");
  speak(getShopSettings(db).locale);
  return readOnce(db);
}

type FileReader = (db: Db, request: Request, person: Person) => Response | Promise<Response>;

/** A file, a picture, a paper or a stream, for whoever may read it. Every route that answers to GET is one. */
export function readFile<P>(reading: Reading, work: (db: Db, params: P, request: Request) => Response | Promise<Response>) {
  return async (request: Request, { params }: { params: Promise<P> }): Promise<Response> => {
    const db = getDb();
    const { person } = await whoAsks(db);
    if (!person) return new Response("Sign in first.", { status: 401 });
    if (!mayRead(person, reading)) return new Response(`${person.name} may not read this (role: ${person.role}).`, { status: 403 });
    speak(getShopSettings(db).locale);
    return work(db, await params, request);
  };
}
export type { FileReader };
