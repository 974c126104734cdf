import "server-only";
import { notFound, redirect } from "next/navigation";
import { isFounded } from "@/data/shop/first-run";
import type { Person } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { readOnce } from "@/data/store/read-once";
import { getDb } from "./db";
import { currentPerson, mayRead, type Reading } from "./person";

/** The data for a page, once whoever asks may read it; to anybody else the page is not there. Every page begins with it. A shop that nobody has named begins there. */
export async function readPage(reading: Reading): Promise<Db> {
  const db = getDb();
  if (!mayRead(await currentPerson(db), reading)) notFound();
  if (!isFounded(db)) redirect("/first");
  return readOnce(db);
}

type FileReader = (db: Db, request: Request, person: Person) => Response | Promise<Response>;

/** A file, a picture, a paper or a stream, for whoever may read it. Every route that answers to GET is one. */
export function readFile<P>(reading: Reading, work: (db: Db, params: P, request: Request) => Response | Promise<Response>) {
  return async (request: Request, { params }: { params: Promise<P> }): Promise<Response> => {
    const db = getDb();
    const person = await currentPerson(db);
    if (!mayRead(person, reading)) return new Response(`${person.name} may not read this (role: ${person.role}).`, { status: 403 });
    return work(db, await params, request);
  };
}
export type { FileReader };
