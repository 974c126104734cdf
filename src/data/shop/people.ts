import { seenPerson } from "@/core/seen/seen";
import type { Role } from "@/core/sign-in/permissions";
import { type Context, type Person, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";

const columns = "id, name, role";

/** Everyone who works here, in the order they came. */
export const listPeople = (db: Db): Person[] => db.prepare(`SELECT ${columns} FROM person WHERE active = 1 ORDER BY id`).all() as Person[];

export const findPerson = (db: Db, id: number): Person | null =>
  (db.prepare(`SELECT ${columns} FROM person WHERE id = ? AND active = 1`).get(id) as Person | undefined) ?? null;

/** The first person of a new shop; later ones are added by an owner. */
export function ensureFirstPerson(db: Db): Person {
  const first = () => db.prepare(`SELECT ${columns} FROM person WHERE active = 1 ORDER BY id LIMIT 1`).get() as Person | undefined;
  const known = first();
  if (known) return known;
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

/** A name is written anew; earlier entries show it too. */
export function renamePerson(ctx: Context, id: number, name: string): void {
  const taken = ctx.db.prepare("SELECT 1 FROM person WHERE name = ? AND id <> ?").get(name, id);
  if (taken) throw new Refusal("name-taken", `${name} is already in the list. Add a letter to tell the two apart.`, "name");
  ctx.db.prepare("UPDATE person SET name = ? WHERE id = ?").run(name, id);
}

/** The shop is never left without somebody who may change it. */
function refuseLastOwner(ctx: Context, id: number, words: string): void {
  const other = ctx.db.prepare("SELECT 1 FROM person WHERE role = 'owner' AND active = 1 AND id <> ?").get(id);
  if (!other)
    throw new Refusal("last-owner", `Nobody else is an owner: ${words} Make somebody else owner first.`, "role", { to: "people" });
}

/** Changes name and role. @throws Refusal for a name that is taken and for the last owner's role. */
/** @param seen the card as it was read; null where nobody looked. @throws Refusal when it changed since. */
export function changePerson(ctx: Context, { id, name, role }: Person, seen: string | null = null): void {
  const was = findPerson(ctx.db, id);
  if (!was) throw new Refusal("no-person", "This person no longer works here. Reload the page.");
  refuseUnseen(seen, seenPerson(was), `The record of ${was.name}`);
  if (was.role === "owner" && role !== "owner") refuseLastOwner(ctx, id, "without an owner the shop could not be changed.");
  renamePerson(ctx, id, name);
  ctx.db.prepare("UPDATE person SET role = ? WHERE id = ?").run(role, id);
  writeJournal(ctx, "person-changed", {}, { personId: id, role });
}

/** Somebody leaves, or is back: the name stays beside what was done. @throws Refusal for the last owner and for whoever asks. */
export function retirePerson(ctx: Context, id: number, retired: boolean): void {
  if (retired && id === ctx.person.id)
    throw new Refusal("yourself", "That is you. Choose another person at the bench first.", null, { to: "people" });
  const was = findPerson(ctx.db, id);
  if (retired && was?.role === "owner") refuseLastOwner(ctx, id, "the shop would have no owner.");
  const { changes } = ctx.db.prepare("UPDATE person SET active = ? WHERE id = ? AND active <> ?").run(retired ? 0 : 1, id, retired ? 0 : 1);
  if (changes) writeJournal(ctx, retired ? "person-left" : "person-back", {}, { personId: id });
}

/** Who worked here once. */
export const listFormerPeople = (db: Db): Person[] =>
  db.prepare(`SELECT ${columns} FROM person WHERE active = 0 ORDER BY id`).all() as Person[];

export type SecretKind = "passphrase" | "pin";
const hashColumn = { passphrase: "passphrase_hash", pin: "pin_hash" } as const;

/** What is kept of a person's passphrase or PIN; null where they have none. */
export const secretHash = (db: Db, personId: number, kind: SecretKind): string | null =>
  (db.prepare(`SELECT ${hashColumn[kind]} FROM person WHERE id = ?`).pluck().get(personId) as string | null | undefined) ?? null;

export const writeSecretHash = (db: Db, personId: number, kind: SecretKind, hash: string | null): void => {
  db.prepare(`UPDATE person SET ${hashColumn[kind]} = ? WHERE id = ?`).run(hash, personId);
};
