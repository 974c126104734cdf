import { linkOf } from "@/app/server/public-address";
import { deskOf, sendMailOf } from "@/app/server/send-mail";
import type { quoteActs } from "@/core/acts/quote/acts";
import { addMinutes, minutesPerDay } from "@/core/day/day";
import { askingDays, readCodes, saidYes } from "@/core/quote/asking";
import { answerAsking, ask, mailAsking, openAskingOf, revokeAsking } from "@/data/asking/asking";
import { setWay } from "@/data/bench/ways";
import { Refusal } from "@/data/database/context";
import { sayPutRight, setFaultOutcome } from "@/data/diagnosis/faults";
import { declineJob } from "@/data/hand-back/decline";
import { setWhoPays } from "@/data/jobs/jobs";
import { declinePart, setForeseen, strikeKit } from "@/data/parts/quote-parts";
import { sayCover } from "@/data/quote/comeback";
import { addJobLine, recordAnswer, removeJobLine } from "@/data/quote/quotes";
import { dateWords } from "@/ui/dates";
import type { RunsOf } from "./runs";

export const quoteRuns: RunsOf<typeof quoteActs> = {
  decline: (ctx, input) => declineJob(ctx, input.jobId, input.reason),

  foresee: (ctx, { jobId: id, positionId, wanted, piece }) => setForeseen(ctx, id, positionId, wanted, piece),

  "part-declined": (ctx, input) => declinePart(ctx, input.jobId, input.positionId, input.declined),

  "kit-struck": (ctx, input) => strikeKit(ctx, input.jobId, input.kitId, input.declined),

  answer: (ctx, { jobId: id, ...said }) => recordAnswer(ctx, id, said),

  way: (ctx, input) => setWay(ctx, input.jobId, input.scope, input.way, input.choice, input.seen),

  "job-line": (ctx, { jobId: id, ...input }) => addJobLine(ctx, id, input),

  "job-line-removed": (ctx, input) => removeJobLine(ctx, input.jobId, input.lineId),

  "who-pays": (ctx, input) => setWhoPays(ctx, input.jobId, input.pays),

  "cover-line": (ctx, input) => sayCover(ctx, input.jobId, input.kind, input.ref, input.ours),

  "fault-outcome": (ctx, input) => setFaultOutcome(ctx, input.jobId, input.faultId, input.outcome),

  "fault-put-right": (ctx, input) => sayPutRight(ctx, input.jobId, input.faultId, input.putRight),

  "ask-customer": (ctx, { jobId: id, token: link }) => ask(ctx, id, link),

  "mail-quote": {
    run: (ctx, { jobId: id, token: link }) => {
      if (!deskOf(ctx.db))
        throw new Refusal(
          "no-mail",
          "This shop sends no mail: print the letter, or name a mail server when Zorbek is started (ZORBEK_SMTP).",
        );
      const until = addMinutes(ctx.now, askingDays * minutesPerDay);
      mailAsking(ctx, id, link === null ? null : linkOf(link), dateWords(openAskingOf(ctx.db, id, ctx.now)?.expiresAt ?? until));
    },
    afterwards: sendMailOf,
  },

  "revoke-asking": (ctx, { jobId: id }) => revokeAsking(ctx, id),

  "answer-by-codes": (ctx, { jobId: id, codes, words }) => {
    const open = openAskingOf(ctx.db, id, ctx.now);
    if (!open) throw new Refusal("no-asking", "This job has no valid letter. Create a new one.");
    const read = readCodes(open.asked, codes);
    if (read.strange.length)
      throw new Refusal("code", `${read.strange.join(", ")} is not a code in this letter. Ask the customer to read it again.`, "codes");
    const consented = saidYes(open.asked, read);
    if (!consented)
      throw new Refusal("code", "None of this letter's codes is in it. A code has three characters, as beside the lines.", "codes");
    return answerAsking(ctx, open.id, { ...consented, words: words || `named ${codes}`, by: "codes" });
  },
};
