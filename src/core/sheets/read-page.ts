import { median } from "@/core/quantile";
import { evenLight } from "./flatten/even-light";
import { type GreyPage, greyAt } from "./flatten/grey";
import { type Corners, flattened, turned } from "./flatten/homography";
import { loneGlyphs } from "./lone-glyphs";
import type { WordBox } from "./sheet";

/** Letters smaller than this are read badly: a page is drawn larger, up to this many px along its longer edge. */
const readPx = 3000;
/** Which way up a page is, is tried at this size, px. */
const tryPx = 1200;
/** Where fewer of its letters than this share are sure, the page is tried the other ways up: upright it is nine in ten, upside down one in ten. */
const mostlySure = 0.5;

/** What reads letters: words anywhere on a page, or the signs of lines that hold figures only. */
export type Recognize = (page: GreyPage, what: "words" | "figures") => Promise<Omit<WordBox, "page">[]>;

/** The whole of a picture. */
export const wholeOf = ({ width, height }: { readonly width: number; readonly height: number }): Corners => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: height },
  { x: 0, y: height },
];

/** Letters in words of three or more that are at least so sure. */
const lettersOf = (words: readonly Omit<WordBox, "page">[], least: number) =>
  words.reduce((sum, { text, sure = 1 }) => sum + (sure >= least ? (text.match(/[\p{L}\d]{3,}/gu)?.join("").length ?? 0) : 0), 0);
const sureLetters = (words: readonly Omit<WordBox, "page">[]) => lettersOf(words, 0.7);

export interface ReadPage {
  readonly words: readonly Omit<WordBox, "page">[];
  /** The page as it was read: flat, upright, in even light. Boxes are in its px. */
  readonly page: GreyPage;
  /** Its corners in the picture, the top of the page first, px. */
  readonly corners: Corners;
}

/**
 * The words of a page in a picture. It is laid flat by its corners and its light made even; where hardly a letter is sure it is turned by quarters, and
 * read the way up that tells most.
 */
export async function readPage(picture: GreyPage, corners: Corners, recognize: Recognize, onNumerals?: () => void): Promise<ReadPage> {
  let best = { corners, page: evenLight(flattened(picture, corners, readPx)) };
  let words = await recognize(best.page, "words");
  if (sureLetters(words) < mostlySure * Math.max(20, lettersOf(words, 0))) {
    let most = sureLetters(words);
    let way: Corners | null = null;
    // Upside down is the likeliest, and the first that can be read is taken.
    for (const quarters of [2, 1, 3]) {
      let next = corners;
      for (let i = 0; i < quarters; i++) next = turned(next);
      const tried = await recognize(evenLight(flattened(picture, next, tryPx)), "words");
      if (sureLetters(tried) > most) [most, way] = [sureLetters(tried), next];
      if (way === next && most > mostlySure * Math.max(20, lettersOf(tried, 0))) break;
    }
    if (way) {
      best = { corners: way, page: evenLight(flattened(picture, way, readPx)) };
      words = await recognize(best.page, "words");
    }
  }
  onNumerals?.();
  return { ...best, words: [...words, ...(await readLone(best.page, words, recognize))] };
}

/** Signs laid side by side, so that the reader sees lines of figures instead of single ones: so many in a line, so wide and high each, px. */
const laid = { many: 16, wide: 150, high: 110, sign: 44 } as const;

/** The numerals and single figures that were passed over, each where it stands. */
async function readLone(page: GreyPage, read: readonly Omit<WordBox, "page">[], recognize: Recognize): Promise<Omit<WordBox, "page">[]> {
  const sure = read.filter(({ text, sure: how = 1 }) => how > 0.3 && /[\p{L}\d]/u.test(text));
  if (sure.length < 5) return [];
  const high = 0.8 * median(sure.map(({ h }) => h));
  // A circle with its numeral is sometimes read as a sign of its own: it is higher than any word.
  const words = sure.filter(({ h }) => h < 1.7 * high);
  const glyphs = loneGlyphs(page, words, high).slice(0, 400);
  if (!glyphs.length) return [];
  const [width, height] = [laid.many * laid.wide, Math.ceil(glyphs.length / laid.many) * laid.high];
  const sheet = { width, height, data: new Uint8Array(width * height).fill(255) };
  for (const [i, { x, y, w, h }] of glyphs.entries()) {
    const times = laid.sign / h;
    const [wide, tall] = [Math.min(laid.wide - 6, Math.round((w + 2) * times)), Math.round((h + 2) * times)];
    const left = Math.round((i % laid.many) * laid.wide + (laid.wide - wide) / 2);
    const top = Math.round(Math.floor(i / laid.many) * laid.high + (laid.high - tall) / 2);
    for (let dy = 0; dy < tall; dy++)
      for (let dx = 0; dx < wide; dx++)
        sheet.data[(top + dy) * width + left + dx] = greyAt(page, x - 1 + (dx + 0.5) / times - 0.5, y - 1 + (dy + 0.5) / times - 0.5);
  }
  // Sign by sign: the reader joins what stands in a line.
  const found = new Map<number, Omit<WordBox, "page">[]>();
  for (const sign of await recognize(sheet, "figures")) {
    const at = Math.floor((sign.y + sign.h / 2) / laid.high) * laid.many + Math.floor((sign.x + sign.w / 2) / laid.wide);
    found.set(at, [...(found.get(at) ?? []), sign]);
  }
  return [...found].flatMap(([at, signs]) => {
    const glyph = glyphs[at];
    const text = [...signs].sort((a, b) => a.x - b.x).map((sign) => sign.text);
    return glyph ? [{ ...glyph, text: text.join(""), sure: Math.min(...signs.map(({ sure: how = 1 }) => how)) }] : [];
  });
}
