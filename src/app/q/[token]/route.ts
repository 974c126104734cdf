import { randomUUID } from "node:crypto";
import { getDb } from "@/app/server/db";
import { logFault } from "@/app/server/log";
import { fromSocket } from "@/app/server/socket";
import { type AskingOption, askingOptions } from "@/core/quote/asking";
import { controlSignAt } from "@/core/vocabulary/control-signs";
import { answerAsking, askingByToken } from "@/data/asking/asking";
import { guessAtLink } from "@/data/asking/guesses";
import { Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { pressOnce } from "@/data/database/press";
import { findJob } from "@/data/jobs/jobs";
import { findPerson } from "@/data/shop/people";
import { getShopSettings } from "@/data/shop/settings";
import { askingEndHtml, askingHtml, askingStyleHash } from "@/formats/asking-html";
import { dateWords } from "@/ui/dates";

/**
 * Where a quote's link leads: a door for one quote, opened by the link alone. It shows nothing else of the shop, takes one answer, and shuts.
 */

const gone = "This link is no longer valid: the quote was answered, withdrawn or has expired. Please ask the shop.";
const html = (body: string, status = 200) =>
  new Response(body, {
    status,
    headers: {
      "content-type": "text/html; charset=utf-8",
      "cache-control": "no-store",
      "x-robots-tag": "noindex",
      // The page's own style and its form; no script, nothing from anywhere.
      "content-security-policy": `default-src 'none'; style-src '${askingStyleHash}'; form-action 'self'; frame-ancestors 'none'; base-uri 'none'`,
    },
  });

type Params = { readonly params: Promise<{ token: string }> };
const mostWords = 400;

export async function GET(_request: Request, { params }: Params): Promise<Response> {
  return shown((await params).token, "");
}

/** A link that leads nowhere: counted by where it came from, and after some tries told to wait. A link that holds is never kept waiting. */
async function leadsNowhere(db: Db, shopName: string): Promise<Response> {
  const guessed = guessAtLink(db, (await fromSocket())?.address ?? "nowhere", new Date().toISOString());
  if (guessed === 0) return html(askingEndHtml(shopName, gone), 410);
  const tooMany = html(askingEndHtml(shopName, "Too many invalid links were opened from here. Please wait, or call the shop."), 429);
  tooMany.headers.set("retry-after", String(guessed));
  return tooMany;
}

async function shown(token: string, fault: string): Promise<Response> {
  const db = getDb();
  const { shopName } = getShopSettings(db);
  const asking = token.length < 80 ? askingByToken(db, token, new Date().toISOString()) : null;
  if (!asking) return leadsNowhere(db, shopName);
  const job = findJob(db, asking.jobId)!;
  return html(
    askingHtml({ shopName, reel: job.reel.modelName, asked: asking.asked, until: dateWords(asking.expiresAt), fault }),
    fault ? 400 : 200,
  );
}

export async function POST(request: Request, { params }: Params): Promise<Response> {
  const { token } = await params;
  const db = getDb();
  const { shopName } = getShopSettings(db);
  const now = new Date().toISOString();
  const asking = token.length < 80 ? askingByToken(db, token, now) : null;
  if (!asking) return leadsNowhere(db, shopName);
  // What is sent is a few ticks and a sentence.
  if (!(Number(request.headers.get("content-length") ?? Number.NaN) <= 20_000))
    return shown(token, "That was too long. Please write less.");
  const form = await request.formData().catch(() => null);
  const option = form?.get("option");
  const words = String(form?.get("words") ?? "");
  if (typeof option !== "string" || !askingOptions.includes(option as AskingOption))
    return shown(token, "Please choose what you would like us to do.");
  if (controlSignAt(Object.fromEntries(form!)) !== null) return shown(token, "The text has a hidden character. Please type it again.");
  if (words.length > mostWords) return shown(token, `At most ${mostWords} characters, please.`);
  // Whoever sent the letter answers for its being written down.
  const person = findPerson(db, asking.personId);
  if (!person) return html(askingEndHtml(shopName, gone), 410);
  try {
    const ctx = { db, person, now };
    const yes = form!.getAll("line").map(String).slice(0, 200);
    pressOnce(ctx, { id: randomUUID(), action: "answer-by-link" }, () =>
      answerAsking(ctx, asking.id, { option: option as AskingOption, yes, words, by: "link" }),
    );
  } catch (error) {
    if (error instanceof Refusal) return html(askingEndHtml(shopName, `${error.message} Please ask the shop.`), 409);
    return html(
      askingEndHtml(shopName, `This did not work and was noted as ${logFault("answer-by-link", error)}. Please call the shop.`),
      500,
    );
  }
  return html(askingEndHtml(shopName, "Thank you. The shop has your answer; this link is now closed."));
}
