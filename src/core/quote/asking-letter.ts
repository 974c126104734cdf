import { formatMinor } from "@/core/money/money";
import type { Asking } from "./asking";

interface Letter {
  readonly shopName: string;
  readonly owner: string;
  readonly reel: string;
  readonly asked: Asking;
  readonly until: string;
  readonly link: string | null;
}

/** A quote as plain words, for mail and for whoever reads it out. */
export function letterText({ shopName, owner, reel, asked, until, link }: Letter): string {
  const { options, lines, fixed, currency } = asked;
  const amount = (minor: number) => `${formatMinor(minor)} ${currency}`;
  return [
    `${owner},`,
    "",
    `here are the options for your ${reel}. Nothing is done before you say yes.`,
    "",
    ...options.map(({ code, words, totalMinor }) => `${code}   ${words}: ${amount(totalMinor)}, tax included`),
    "",
    "Line by line, before tax:",
    ...fixed.map(({ words, priceMinor }) => `      ${words}: ${amount(priceMinor)}`),
    ...lines.map(
      ({ code, words, priceMinor, kind }) =>
        `${code.padEnd(3)}   ${words}${kind === "upgrade" ? " (better part)" : ""}: ${amount(priceMinor)}`,
    ),
    "",
    `To answer, reply with the code of one option, or the codes of just the lines you want, by ${until}.`,
    ...(link ? ["", `Or answer here: ${link}`] : []),
    "",
    shopName,
  ].join("\n");
}
