import { describe, expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { readCodes, saidYes } from "@/core/quote/asking";
import { askForPart } from "@/data/bench/fit-part";
import { addFault } from "@/data/diagnosis/faults";
import { findJob } from "@/data/jobs/jobs";
import { sendWaitingMail, writeMail } from "@/data/messages/outbox";
import { setForeseen } from "@/data/parts/quote-parts";
import { addJobLine, getQuote } from "@/data/quote/quotes";
import { answerAsking, ask, askingByToken, openAskingOf, revokeAsking } from "./asking";

/** A job above its limit: a star, a handle, a fault and a line of the shop's own. */
function asked() {
  const shop = openWorkshop();
  const jobId = shop.open({ limitMinor: 100 });
  setForeseen(shop.ctx, jobId, "star", true);
  setForeseen(shop.ctx, jobId, "handle", true);
  addFault(shop.ctx, jobId, "hardened-grease", "");
  addJobLine(shop.ctx, jobId, { words: "Postage", priceMinor: 690 });
  const token = "t".repeat(32);
  const { id } = ask(shop.ctx, jobId, token);
  const quote = () => getQuote(shop.db, findJob(shop.db, jobId)!);
  return { ...shop, jobId, id, token, quote, letter: openAskingOf(shop.db, jobId, shop.ctx.now)!.asked };
}

describe("a customer who is asked", () => {
  it("sees the options with their sums and every line, the sum of the lines being the quote", () => {
    const { letter, quote } = asked();
    expect(letter.options.map(({ option }) => option).slice(0, 2)).toEqual(["as-is", "quoted"]);
    expect(letter.options[1]!.totalMinor).toBe(quote().sum.totalMinor);
    const net = [...letter.fixed, ...letter.lines.filter(({ kind }) => kind !== "upgrade")].reduce(
      (sum, { priceMinor }) => sum + priceMinor,
      0,
    );
    expect(Math.abs(net - quote().sum.netMinor)).toBeLessThanOrEqual(letter.lines.length);
    expect(quote().consent).toBe("ask");
  });

  it("says yes to some lines by their codes: the others leave the quote, and nothing is done above that yes", () => {
    const { ctx, db, jobId, id, letter, quote } = asked();
    const code = (ref: string) => letter.lines.find((line) => line.ref === ref)!.code;
    const said = saidYes(letter, readCodes(letter, `${code("star")} and ${code("hardened-grease")}`))!;
    expect(said).toEqual({ option: "quoted", yes: ["star", "hardened-grease"] });
    const { totalMinor } = answerAsking(ctx, id, { ...said, words: "Not the handle.", by: "codes" });
    expect(quote().parts.map(({ positionId }) => positionId)).toEqual(["star"]);
    expect(quote().extras.filter(({ id: line }) => line > 0)).toEqual([]);
    expect(quote().sum.totalMinor).toBe(totalMinor);
    expect(quote().consent).toBe("agreed");
    expect(quote().answers.at(-1)).toMatchObject({ accepted: true, totalMinor, words: "Not the handle." });
    // More than the yes asks again.
    setForeseen(ctx, jobId, "handle", true);
    expect(quote().consent).toBe("ask");
    expect(refusal(() => askForPart(ctx, jobId, "handle")).code).toBe("ask-first");
    expect(refusal(() => answerAsking(ctx, id, { ...said, words: "", by: "codes" })).code).toBe("no-asking");
    expect(openAskingOf(db, jobId, ctx.now)).toBeNull();
  });

  it("wants it back as it is: nothing stands in the quote, and it is declined with their reason", () => {
    const { ctx, db, jobId, id } = asked();
    answerAsking(ctx, id, { option: "as-is", yes: [], words: "Too dear for me.", by: "link" });
    expect(findJob(db, jobId)!.declinedReason).toContain("Too dear for me.");
  });

  it("is asked again where the price changed since", () => {
    const { ctx, db, jobId, id, token, letter } = asked();
    addJobLine(ctx, jobId, { words: "Spool of line", priceMinor: 900 });
    expect(
      refusal(() => answerAsking(ctx, id, { option: "quoted", yes: letter.lines.map(({ ref }) => ref), words: "", by: "link" })).code,
    ).toBe("changed");
    // The refusal took nothing: the letter holds until another is sent.
    expect(askingByToken(db, token, ctx.now)).not.toBeNull();
    const second = { ...ask(ctx, jobId, "s".repeat(32)), token: "s".repeat(32) };
    expect(askingByToken(db, token, ctx.now)).toBeNull();
    expect(askingByToken(db, second.token, ctx.now)).toMatchObject({ id: second.id });
  });

  it("has a link for this one quote, until a day, that can be taken back; the token itself is nowhere in the data", () => {
    const { ctx, db, jobId, token } = asked();
    expect(askingByToken(db, token, ctx.now)?.jobId).toBe(jobId);
    expect(askingByToken(db, `${token}x`, ctx.now)).toBeNull();
    expect(askingByToken(db, token, new Date(Date.parse(ctx.now) + 15 * 86_400_000).toISOString())).toBeNull();
    for (const { name } of db.prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'find%'").all() as {
      name: string;
    }[])
      expect(JSON.stringify(db.prepare(`SELECT * FROM "${name}"`).all()).includes(token), name).toBe(false);
    revokeAsking(ctx, jobId);
    expect(askingByToken(db, token, ctx.now)).toBeNull();
    expect(refusal(() => revokeAsking(ctx, jobId)).code).toBe("no-asking");
  });
});

describe("mail on its way", () => {
  it("is sent once, again where the desk failed, and leaves nothing but its reference", async () => {
    const { ctx, db } = openWorkshop();
    writeMail(ctx, { kind: "quote", ref: 1, to: "ada@example.org", subject: "Your reel", text: "the link" });
    const none = async () => [];
    const failing = { simulated: true, send: () => Promise.reject(new Error("down")) };
    await expect(sendWaitingMail(db, failing, "shop@example.org", none)).rejects.toThrow("down");
    const taken: string[] = [];
    const desk = { simulated: true, send: async (mail: { to: string }) => ({ reference: `M${taken.push(mail.to)}` }) };
    await sendWaitingMail(db, desk, "shop@example.org", none);
    await sendWaitingMail(db, desk, "shop@example.org", none);
    expect(taken).toEqual(["ada@example.org"]);
    expect(db.prepare("SELECT to_address, text, reference FROM outbox").all()).toEqual([{ to_address: "", text: "", reference: "M1" }]);
  });
});
