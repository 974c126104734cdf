"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { linkOf } from "@/app/server/public-address";
import { deskOf, sendMailOf } from "@/app/server/send-mail";
import { jobId } from "@/core/acts/inputs";
import { askingDays, readCodes, saidYes } from "@/core/quote/asking";
import { answerAsking, ask, mailAsking, openAskingOf, revokeAsking } from "@/data/asking/asking";
import { Refusal } from "@/data/store/context";
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

const mailing = defineAction({
  name: "mail-quote",
  permission: "counter",
  input: z.object({ jobId, token: token.nullable() }),
  run: (ctx, { jobId: id, token: link }) => {
    if (!deskOf(ctx.db))
      throw new Refusal(
        "no-mail",
        "This shop sends no mail: print the letter, or name a mail server when Zorbek is started (ZORBEK_SMTP).",
      );
    const until = new Date(Date.parse(ctx.now) + askingDays * 86_400_000).toISOString();
    mailAsking(ctx, id, link === null ? null : linkOf(link), dateWords(openAskingOf(ctx.db, id, ctx.now)?.expiresAt ?? until));
  },
  afterwards: sendMailOf,
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
