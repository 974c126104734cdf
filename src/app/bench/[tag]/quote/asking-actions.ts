"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { jobId } from "@/app/server/bench-input";
import { linkOf } from "@/app/server/public-address";
import { askingDays, readCodes, saidYes } from "@/core/quote/asking";
import { answerAsking, ask, findAsking, mailAsking, openAskingOf, revokeAsking } from "@/data/asking/asking";
import { findJob } from "@/data/jobs/jobs";
import { sendWaitingMail } from "@/data/messages/outbox";
import { getShopSettings } from "@/data/shop/settings";
import { Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { mailDesk } from "@/devices/mail-desk";
import { askingPdf } from "@/formats/asking-pdf";
import type { Press } from "@/ui/act/press";
import { dateWords } from "@/ui/dates";

/** Drawn by the page that shows the link: thirty-two signs, 192 bits. */
const token = z.string().regex(/^[\w-]{32}$/, "This link is damaged. Reload the page.");

const asking = defineAction({
  name: "ask-customer",
  permission: "counter",
  input: z.object({ jobId, token }),
  run: (ctx, { jobId: id, token: link }) => ask(ctx, id, link),
});
export async function askCustomer(press: Press) {
  return asking(press);
}

/** The letter goes with its mail. */
async function letterOf(db: Db, id: number) {
  const letter = findAsking(db, id);
  const job = letter && findJob(db, letter.jobId);
  if (!letter || !job) return [];
  const content = await askingPdf({
    shopName: getShopSettings(db).shopName,
    tag: job.tag,
    owner: job.customer.name,
    reel: job.reel.modelName,
    asked: letter.asked,
    until: dateWords(letter.expiresAt),
    // The mail itself says the link; its token is kept nowhere to be printed again.
    link: null,
  });
  return [{ filename: `quote-${job.tag}.pdf`, content, contentType: "application/pdf" }];
}

const mailing = defineAction({
  name: "mail-quote",
  permission: "counter",
  input: z.object({ jobId, token: token.nullable() }),
  run: (ctx, { jobId: id, token: link }) => {
    const until = new Date(Date.parse(ctx.now) + askingDays * 86_400_000).toISOString();
    mailAsking(ctx, id, link === null ? null : linkOf(link), dateWords(openAskingOf(ctx.db, id, ctx.now)?.expiresAt ?? until));
  },
  afterwards: (db) =>
    sendWaitingMail(db, mailDesk(), process.env.ZORBEK_MAIL_FROM ?? "bench@zorbek.invalid", (kind, ref) =>
      kind === "quote" ? letterOf(db, ref) : Promise.resolve([]),
    ),
});
export async function mailQuote(press: Press) {
  return mailing(press);
}

const revoking = defineAction({
  name: "revoke-asking",
  permission: "counter",
  input: z.object({ jobId }),
  run: (ctx, { jobId: id }) => revokeAsking(ctx, id),
});
export async function takeLetterBack(press: Press) {
  return revoking(press);
}

const coded = defineAction({
  name: "answer-by-codes",
  permission: "counter",
  input: z.object({
    jobId,
    codes: z.string().trim().min(3, "Type the codes the customer names.").max(400, "At most 400 characters."),
    words: z.string().trim().max(400, "At most 400 characters."),
  }),
  run: (ctx, { jobId: id, codes, words }) => {
    const open = openAskingOf(ctx.db, id, ctx.now);
    if (!open) throw new Refusal("no-asking", "No letter of this job holds any more. Make a new one.");
    const read = readCodes(open.asked, codes);
    if (read.strange.length)
      throw new Refusal("code", `${read.strange.join(", ")} is no code of this letter. Ask the customer to read it again.`, "codes");
    const said = saidYes(open.asked, read);
    if (!said)
      throw new Refusal("code", "There is no code of this letter in it. A code has three signs, such as those beside the lines.", "codes");
    return answerAsking(ctx, open.id, { ...said, words: words || `named ${codes}`, by: "codes" });
  },
});
export async function answerByCodes(press: Press) {
  return coded(press);
}
