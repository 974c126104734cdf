import { describe, expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { findJob } from "@/data/jobs/jobs";
import { addCustomer, findCustomer, searchCustomers } from "./customers";
import { cardOf, mergeCustomers } from "./merge";
import { findReel, giveToOwner } from "./reels";

describe("two cards of one person", () => {
  it("become one: reels, jobs and what only one of them knew", () => {
    const { db, ctx, customerId, open } = openWorkshop();
    const stays = addCustomer(ctx, { name: "A. Brook", phone: "", email: "ada@brook.example", note: "Boat" });
    const job = open({ customer: { id: customerId } });
    mergeCustomers(ctx, customerId, stays);
    expect(findJob(db, job)!.customer.id).toBe(stays);
    expect(findReel(db, findJob(db, job)!.reel.id)!.ownerId).toBe(stays);
    expect(findCustomer(db, stays)).toMatchObject({ name: "A. Brook", phone: "1", email: "ada@brook.example", note: "Boat" });
    expect(searchCustomers(db, "brook", 9).map(({ id }) => id)).toEqual([stays]);
    expect(cardOf(ctx, customerId)).toBe(stays);
    expect(db.pragma("foreign_key_check")).toEqual([]);
  });

  it("keeps both phones where they differ, and does nothing with one card", () => {
    const { db, ctx, customerId } = openWorkshop();
    const stays = addCustomer(ctx, { name: "Ada B.", phone: "2", email: "" });
    mergeCustomers(ctx, customerId, stays);
    expect(findCustomer(db, stays)).toMatchObject({ phone: "2", note: "1" });
    expect(refusal(() => mergeCustomers(ctx, stays, stays)).field).toBe("into");
    expect(refusal(() => mergeCustomers(ctx, stays, customerId)).code).toBe("retired");
  });
});

describe("a reel in other hands", () => {
  it("goes to its new owner at the Ledger, but not while it is here for somebody", () => {
    const { db, ctx, open } = openWorkshop();
    const other = addCustomer(ctx, { name: "Tobin Reed", phone: "", email: "" });
    const job = findJob(db, open())!;
    expect(refusal(() => giveToOwner(ctx, job.reel.id, other)).way).toMatchObject({ to: "station", station: "return" });
    db.prepare("UPDATE job SET closed_at = ?, station = 'closed' WHERE id = ?").run(ctx.now, job.id);
    giveToOwner(ctx, job.reel.id, other);
    expect(findReel(db, job.reel.id)!.ownerId).toBe(other);
    expect(refusal(() => giveToOwner(ctx, job.reel.id, 9999)).field).toBe("ownerId");
  });
});
