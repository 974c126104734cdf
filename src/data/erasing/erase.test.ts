import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { skerry30, skerry30Anatomy, skerry30LineRadiusMm, skerry30Parts } from "#demo/models/skerry-30";
import { plainJob, refusal } from "#tests/workshop";
import { addPartType } from "@/data/catalogue/part-types";
import { addModel } from "@/data/catalogue/write-model";
import { openJob } from "@/data/counter/open-job";
import { addCustomer, changeCustomer, erasedName, findCustomer } from "@/data/customers/customers";
import { mergeCustomers } from "@/data/customers/merge";
import { findReel } from "@/data/customers/reels";
import { backUp } from "@/data/database/backup";
import type { Context } from "@/data/database/context";
import { type Db, openDatabase } from "@/data/database/database";
import { findAnything } from "@/data/database/find";
import { findJob } from "@/data/jobs/jobs";
import { getCustomerRecord } from "@/data/ledger/customer-record";
import { forgetInvoiceNames, invoiceName } from "@/data/papers/invoice-names";
import { ensureFirstPerson } from "@/data/shop/people";
import { invite, invitedPerson } from "@/data/sign-in/invitations";
import { setSecret } from "@/data/sign-in/secrets";
import { findSession } from "@/data/sign-in/sessions";
import { signIn } from "@/data/sign-in/sign-in";
import { eraseCustomer, erasureOf, leaveNoTrace, rememberErasure } from "./erase";
import { restoreShop } from "./restore-shop";

let directory: string;
let db: Db;
let ctx: Context;
let ada: number;
let job: number;
const name = "Ada Quillfeather";
beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), "zorbek-erase-"));
  db = openDatabase(directory);
  ctx = { db, person: ensureFirstPerson(db), now: "2026-03-02T09:00:00.000Z" };
  for (const part of skerry30Parts) addPartType(ctx, part);
  addModel(ctx, skerry30, { lineRadiusMm: skerry30LineRadiusMm, anatomy: skerry30Anatomy });
  ada = addCustomer(ctx, { name, phone: "0555 7788 99", email: "quill@feather.example", note: "left-handed" });
  job = openJob(
    ctx,
    plainJob({ customer: { id: ada }, modelId: skerry30.id, serial: "Q1", complaint: "squeaks in the Quillfeather boat" }),
  ).id;
});
afterEach(() => {
  if (db.open) db.close();
  rmSync(directory, { recursive: true, force: true });
});
const close = (paid = 5000) =>
  db
    .prepare("UPDATE job SET station = 'closed', closed_at = '2026-03-09T10:00:00.000Z', signed_by = ?, final_total_minor = ? WHERE id = ?")
    .run(name, paid, job);
const erase = () => {
  rememberErasure(directory, erasureOf(ctx, ada)!);
  return db.transaction(() => eraseCustomer(ctx, ada))();
};

describe("somebody who asks to be forgotten", () => {
  it("is not, while a reel of theirs is here", () => expect(refusal(() => eraseCustomer(ctx, ada)).way).toMatchObject({ to: "station" }));

  it("leaves a reel with its history and nobody's name, and no word of theirs in the file", () => {
    close(0);
    expect(erase()).toEqual({ nameUntil: null });
    const { customer, complaint, reel } = findJob(db, job)!;
    expect([customer.name, complaint, findReel(db, reel.id)!.ownerName]).toEqual([erasedName, "", erasedName]);
    expect(findCustomer(db, ada)).toMatchObject({ phone: "", email: "", note: "", retired: true });
    expect(findAnything(db, "quillfeather")).toEqual([]);
    leaveNoTrace(db);
    const bytes = readFileSync(join(directory, "zorbek.db")).toString("latin1").toLowerCase();
    for (const word of ["quillfeather", "0555 7788", "quill@", "left-handed"]) expect(bytes).not.toContain(word);
  });

  it("leaves no older name either: of a card that was renamed, merged, or answered a press", () => {
    close(0);
    db.prepare("INSERT INTO press (id, action, person_id, at, answer) VALUES ('press-0001', 'take-in', ?, ?, ?)").run(
      ctx.person.id,
      ctx.now,
      JSON.stringify({ owner: name }),
    );
    const second = addCustomer(ctx, { name: "A. Wrenfield", phone: "", email: "" });
    mergeCustomers(ctx, ada, second);
    changeCustomer(ctx, { ...findCustomer(db, second)!, name });
    db.transaction(() => eraseCustomer(ctx, second))();
    expect([findAnything(db, "quillfeather"), findAnything(db, "wrenfield")]).toEqual([[], []]);
    expect(findAnything(db, "Q1").map(({ kind }) => kind)).toContain("job");
    leaveNoTrace(db);
    const bytes = readFileSync(join(directory, "zorbek.db")).toString("latin1").toLowerCase();
    for (const word of ["quillfeather", "wrenfield", "0555 7788"]) expect(bytes).not.toContain(word);
  });

  it("keeps the name where an invoice must, for as long as it must, and says until when", () => {
    close();
    expect(erase()).toEqual({ nameUntil: "2036-12-31" });
    expect(invoiceName(db, ada)).toEqual({ name, until: "2036-12-31" });
    expect(forgetInvoiceNames(db, "2036-12-31")).toBe(0);
    expect(forgetInvoiceNames(db, "2037-01-01")).toBe(1);
    expect(invoiceName(db, ada)).toBeNull();
  });

  it("is erased again when an earlier copy is restored, and nobody else is", () => {
    close();
    const ben = addCustomer(ctx, { name: "Ben Marsh", phone: "", email: "" });
    const { name: copy } = backUp(directory, new Date("2026-03-10T08:00:00Z"));
    erase();
    db.close();
    expect(restoreShop(directory, copy, new Date("2026-03-11T08:00:00Z"))).toContain("1 erased since then was erased again.");
    db = openDatabase(directory);
    expect([findCustomer(db, ada)!.name, findCustomer(db, ben)!.name]).toEqual([erasedName, "Ben Marsh"]);
  });

  it("comes back with nobody signed in: who was put out since stays out", () => {
    setSecret(ctx, ctx.person.id, "passphrase", { now: "heron ladle seven quarry", before: "" });
    const from = { over: "network", address: "127.0.0.2", device: "a phone" } as const;
    const token = signIn(db, { name: ctx.person.name, passphrase: "heron ladle seven quarry" }, from, ctx.now).token;
    const { token: invited } = invite(ctx, ctx.person.id);
    expect(findSession(db, token, ctx.now)?.state).toBe("works");
    const { name: copy } = backUp(directory, new Date("2026-03-02T09:01:00Z"));
    db.close();
    restoreShop(directory, copy, new Date("2026-03-02T09:02:00Z"));
    db = openDatabase(directory);
    expect(findSession(db, token, "2026-03-02T09:03:00.000Z")?.state).toBe("over");
    expect(invitedPerson(db, invited, "2026-03-02T09:03:00.000Z")).toBeNull();
  });

  it("is told of where an earlier copy has a reel of theirs in the shop", () => {
    const { name: copy } = backUp(directory, new Date("2026-03-08T08:00:00Z"));
    close();
    erase();
    db.close();
    expect(restoreShop(directory, copy, new Date("2026-03-11T08:00:00Z"))).toContain("has a reel in the shop in this copy");
    db = openDatabase(directory);
    expect(findCustomer(db, ada)!.name).toBe(name);
  });

  it("does not take somebody else's card for theirs where a number was given out again", () => {
    close();
    const erasure = erasureOf(ctx, ada)!;
    rememberErasure(directory, { ...erasure, name: "0".repeat(64), firstSeen: "2020-01-01T00:00:00.000Z" });
    const { name: copy } = backUp(directory, new Date("2026-03-10T08:00:00Z"));
    db.close();
    restoreShop(directory, copy, new Date("2026-03-11T08:00:00Z"));
    db = openDatabase(directory);
    expect(findCustomer(db, ada)!.name).toBe(name);
  });
});

describe("what is held of one person", () => {
  it("goes out whole: card, reels, visits, what was done", () => {
    close();
    const { card, jobs } = getCustomerRecord(db, ada)!;
    expect(jobs.map(({ id }) => id)).toEqual([job]);
    expect(card).toMatchObject({
      name,
      phone: "0555 7788 99",
      reels: [{ serial: "Q1" }],
      visits: [{ complaint: "squeaks in the Quillfeather boat" }],
    });
    expect(card.journal).toHaveLength(
      db.prepare("SELECT count(*) FROM journal WHERE customer_id IS NOT NULL OR job_id IS NOT NULL").pluck().get() as number,
    );
    expect(getCustomerRecord(db, 999)).toBeNull();
  });
});
