import { z } from "zod";
import type { PageSize } from "./kept-sheet";
import { listFields, type WordBox } from "./sheet";

/** More words than a page of a maker's list has many times over. */
const mostWords = 8000;
/** Beyond this nothing stands on a page, in any unit. */
const farthest = 1e5;
const mostPages = 60;
const measure = z.number().min(-farthest).max(farthest);

/** Its words as they are kept beside a sheet, so that it can be read again with other columns: text, x, y, width, height, page, turned, how sure. */
export const sheetWordsSchema = z.object({
  words: z
    .array(
      z.tuple([
        z.string().max(200),
        measure,
        measure,
        measure,
        measure,
        z.number().int().min(1).max(mostPages),
        measure,
        z.number().min(0).max(1),
      ]),
    )
    .max(mostWords),
  /** Each page's size in the unit its words stand in: page, width, height. */
  sizes: z
    .array(z.tuple([z.number().int().min(1).max(mostPages), z.number().positive().max(1e5), z.number().positive().max(1e5)]))
    .max(mostPages),
});
export type SheetWords = z.infer<typeof sheetWordsSchema>;

const rounded = (value: number): number => Math.round(value * 100) / 100;

/** The words and page sizes as they are kept, without what stands off every page; null where there are more than anybody would look over. */
export function keptWords(words: readonly WordBox[], sizes: PageSize): SheetWords | null {
  const here = words.filter(({ x, y, w, h, page = 1 }) => page <= mostPages && [x, y, w, h].every((value) => Math.abs(value) <= farthest));
  if (here.length > mostWords) return null;
  return {
    words: here.map(({ text, x, y, w, h, page = 1, turned = 0, sure = 1 }) => [
      text.slice(0, 200),
      ...([x, y, w, h].map(rounded) as [number, number, number, number]),
      page,
      turned,
      Math.min(1, Math.max(0, rounded(sure))),
    ]),
    sizes: Object.entries(sizes).flatMap(([page, { width, height }]) =>
      Number(page) <= mostPages ? [[Number(page), rounded(width), rounded(height)]] : [],
    ),
  };
}

/** The same as a reader gave them. */
export const wordsOf = ({ words, sizes }: SheetWords): { words: WordBox[]; sizes: PageSize } => ({
  words: words.map(([text, x, y, w, h, page, turned, sure]) => ({ text, x, y, w, h, page, turned, sure })),
  sizes: Object.fromEntries(sizes.map(([page, width, height]) => [page, { width, height }])),
});

/** What a shop calls a column, from a sheet on which somebody said so: such a header is known from then on. */
export const ownHeaderSchema = z.object({ words: z.string().trim().toLowerCase().min(1).max(60), field: z.enum(listFields) });
export type OwnHeader = z.infer<typeof ownHeaderSchema>;
