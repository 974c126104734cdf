import { changeCustomer, findCustomer, retireCustomer } from "@/data/customers/customers";
import { type Context, Refusal } from "@/data/database/context";
import { forgetInFind } from "@/data/database/find";
import { writeJournal } from "@/data/database/journal";
import { giveJobsTo } from "@/data/jobs/job-row";
import { giveWaysTo } from "@/data/jobs/way-rows";
import { indexReel } from "./reels";

/**
 * Two cards of one person become one: reels, jobs, lots and ways go to the card that stays, with what only the other one knew of phone, e-mail
 * and note. Papers handed out keep what they said; entries of the journal stay with the card they were written for.
 * @throws Refusal for the same card, or one that is not there.
 */
export function mergeCustomers(ctx: Context, goesId: number, staysId: number): void {
  const [goes, stays] = [findCustomer(ctx.db, goesId), findCustomer(ctx.db, staysId)];
  if (!goes || !stays) throw new Refusal("no-customer", "One of the two records no longer exists. Choose again.", "into");
  if (goesId === staysId) throw new Refusal("same", "That is the same record. Choose the other one.", "into");
  if (stays.retired)
    throw new Refusal("retired", `${stays.name} is retired. Put the record back into use first.`, "into", {
      to: "customer",
      customerId: staysId,
    });
  const { db } = ctx;
  const reels = db.prepare("SELECT id FROM reel WHERE owner_id = ?").pluck().all(goesId) as number[];
  db.prepare("UPDATE reel SET owner_id = ?, row_version = row_version + 1 WHERE owner_id = ?").run(staysId, goesId);
  giveJobsTo(db, goesId, staysId);
  giveWaysTo(db, goesId, staysId);
  const other = (of: "phone" | "email" | "address") => (goes[of] && stays[of] && goes[of] !== stays[of] ? goes[of] : "");
  changeCustomer(ctx, {
    ...stays,
    phone: stays.phone || goes.phone,
    email: stays.email || goes.email,
    address: stays.address || goes.address,
    note: [stays.note, goes.note, other("phone"), other("email"), other("address")].filter(Boolean).join("; ").slice(0, 500),
    discountClass: stays.discountClass === "none" ? goes.discountClass : stays.discountClass,
  });
  if (!goes.retired) retireCustomer(ctx, goesId, true);
  db.prepare("UPDATE customer SET merged_into = ? WHERE id = ?").run(staysId, goesId);
  forgetInFind(db, { kind: "customer", ref: String(goesId) });
  for (const id of reels) indexReel(db, id);
  writeJournal(ctx, "customers-merged", { customerId: staysId }, { from: goesId });
}

/** The card that stands for one that was merged; itself where it was not. */
export const cardOf = (ctx: Pick<Context, "db">, id: number): number => {
  const into = ctx.db.prepare("SELECT merged_into FROM customer WHERE id = ?").pluck().get(id) as number | null | undefined;
  return into ? cardOf(ctx, into) : id;
};
