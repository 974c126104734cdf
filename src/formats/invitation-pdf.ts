import { invitationText } from "@/core/season/season";
import { addressLines } from "./address-lines";
import { makePdf } from "./pdf";
import { flowOf } from "./pdf-flow";

/** Letters that ask reels in before the season, one a page. */
export const invitationPdf = (
  letters: readonly (Parameters<typeof invitationText>[0] & { readonly shopAt?: string; readonly address?: string })[],
): Promise<Buffer> =>
  makePdf({ widthMm: 210, heightMm: 297, title: "Letters before the season" }, (doc) => {
    letters.forEach((letter, i) => {
      if (i > 0) doc.addPage();
      const flow = flowOf(doc, { widthMm: 210, heightMm: 297, marginMm: 25 });
      flow.line("bold", 16, letter.shopName);
      if (letter.shopAt) flow.line("sans", 10, letter.shopAt);
      flow.y += 30;
      for (const words of letter.address ? [letter.owner, ...addressLines(letter.address)] : []) flow.line("sans", 12, words);
      flow.y += 30;
      for (const line of invitationText(letter).split("\n"))
        if (line) flow.line("sans", 12, line);
        else flow.y += 10;
    });
  });
