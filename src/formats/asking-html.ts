import { createHash } from "node:crypto";
import { formatMinor } from "@/core/money/money";
import type { Asking } from "@/core/quote/asking";

/** The page behind a quote's link: one document without a script, the quote and nothing else. */

const safe = (text: string) =>
  text.replace(/[&<>"']/g, (sign) => ({ "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;", "'": "&#39;" })[sign]!);

const style = `
body{font:17px/1.4 sans-serif;color:#1B1F1E;background:#A9ADA3;margin:0;padding:12px}
main{background:#FCFCFA;border:2px solid #1B1F1E;max-width:640px;margin:0 auto;padding:16px}
h1{font-size:24px;margin:0 0 8px}h2{font-size:19px;margin:20px 0 4px}
fieldset{border:0;padding:0;margin:0}
label{display:flex;gap:12px;align-items:center;min-height:48px;border-top:1px solid #1B1F1E;padding:4px 0}
input[type=radio],input[type=checkbox]{width:24px;height:24px;flex:none;accent-color:#8A6414}
label span:nth-of-type(1){flex:1}
.n{font-family:monospace;white-space:nowrap}
textarea{width:100%;min-height:72px;font:inherit;box-sizing:border-box;border:1px solid #1B1F1E}
button{font:bold 20px sans-serif;color:#fff;background:#8A6414;border:0;width:100%;min-height:72px;margin-top:12px}
p.small{font-size:14px}.bare{border:0;min-height:0}`;
/** Of the page's own style, for the policy that lets nothing else in. */
export const askingStyleHash = `sha256-${createHash("sha256").update(style).digest("base64")}`;

const page = (title: string, body: string) =>
  `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><meta name="robots" content="noindex"><title>${safe(title)}</title><style>${style}</style></head><body><main>${body}</main></body></html>`;

export interface AskingPage {
  readonly shopName: string;
  readonly reel: string;
  readonly asked: Asking;
  /** Until when, in words. */
  readonly until: string;
  /** What was wrong with what was sent; empty at first. */
  readonly fault: string;
}

/** The quote, with a choice of what to do and a tick a line; sent back to the address it came from. */
export function askingHtml({ shopName, reel, asked, until, fault }: AskingPage): string {
  const { options, lines, fixed, currency, valueMinor } = asked;
  const amount = (minor: number) => `<span class="n">${safe(`${formatMinor(minor)} ${currency}`)}</span>`;
  const choice = options
    .map(
      ({ option, words, totalMinor, code }) =>
        `<label><input type="radio" name="option" value="${option}" required><span>${safe(words)} <span class="n">(${safe(code)})</span></span>${amount(totalMinor)}</label>`,
    )
    .join("");
  const tick = (kind: "upgrade" | "rest") =>
    lines
      .filter((line) => (line.kind === "upgrade") === (kind === "upgrade"))
      .map(
        ({ ref, words, priceMinor, code }) =>
          `<label><input type="checkbox" name="line" value="${safe(ref)}" checked><span>${safe(words)}${code ? ` <span class="n">(${safe(code)})</span>` : ""}</span>${amount(priceMinor)}</label>`,
      )
      .join("");
  const upgrades = tick("upgrade");
  return page(
    `Quote: ${reel}`,
    `<h1>${safe(shopName)}</h1><p>Your reel: <strong>${safe(reel)}</strong>. Nothing is done before you say yes. This page holds until ${safe(until)}.</p>
${fault ? `<p role="alert"><strong>${safe(fault)}</strong></p>` : ""}
<form method="post">
<fieldset><legend><h2>What shall we do?</h2></legend>${choice}</fieldset>
${valueMinor === null ? "" : `<p>In its present state this reel is worth about ${amount(valueMinor)}.</p>`}
<fieldset><legend><h2>Line by line, before tax: take out the tick of what you do not want</h2></legend>
${fixed.map(({ words, priceMinor }) => `<label><span>${safe(words)}</span>${amount(priceMinor)}</label>`).join("")}${tick("rest")}</fieldset>
${upgrades ? `<fieldset><legend><h2>Better parts, with the last choice only</h2></legend>${upgrades}</fieldset>` : ""}
<h2><label for="words" class="bare">In your words</label></h2><textarea id="words" name="words" maxlength="400"></textarea>
<button>Send my answer</button></form>
<p class="small">Sums of the choices have tax in them. If a line is left out, less is to pay.</p>`,
  );
}

/** What is shown once an answer is in, or where the link holds no more. */
export const askingEndHtml = (shopName: string, words: string): string => page("Quote", `<h1>${safe(shopName)}</h1><p>${safe(words)}</p>`);
