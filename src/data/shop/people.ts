import { type Context, type Person, Refusal, type Role } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { writeJournal } from "@/data/store/journal";

const columns = "id, name, role";

/** Everyone who works here, in the order they came. */
export const listPeople = (db: Db): Person[] => db.prepare(`SELECT ${columns} FROM person WHERE active = 1 ORDER BY id`).all() as Person[];

export const findPerson = (db: Db, id: number): Person | null =>
  (db.prepare(`SELECT ${columns} FROM person WHERE id = ? AND active = 1`).get(id) as Person | undefined) ?? null;

/** The first person of a new shop; later ones are added by an owner. */
export function ensureFirstPerson(db: Db): Person {
  const first = () => db.prepare(`SELECT ${columns} FROM person WHERE active = 1 ORDER BY id LIMIT 1`).get() as Person | undefined;
  const there = first();
  if (there) return there;
  // Reading a page writes nothing, except the very first of a new shop.
  db.prepare("INSERT INTO person (name, role) SELECT 'Owner', 'owner' WHERE NOT EXISTS (SELECT 1 FROM person)").run();
  return first()!;
}

export function addPerson(ctx: Context, person: { name: string; role: Role }): number {
  const taken = ctx.db.prepare("SELECT 1 FROM person WHERE name = ?").get(person.name);
  if (taken) throw new Refusal("name-taken", `${person.name} is already in the list. Add a letter to tell the two apart.`, "name");
  const id = Number(ctx.db.prepare("INSERT INTO person (name, role) VALUES (?, ?)").run(person.name, person.role).lastInsertRowid);
  writeJournal(ctx, "person-added", {}, { personId: id, role: person.role });
  return id;
}

/** Used by the demo to give the first person a name. */
export function renamePerson(ctx: Context, id: number, name: string): void {
  ctx.db.prepare("UPDATE person SET name = ? WHERE id = ?").run(name, id);
}
