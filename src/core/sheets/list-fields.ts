import type { Line, Span } from "./list-lines";
import { type ListField, listFields } from "./sheet";

/** What columns are called. */
const headers: Readonly<Record<ListField, readonly string[]>> = {
  callout: [
    "no",
    "no.",
    "item",
    "key",
    "ref",
    "ref.",
    "key no",
    "key no.",
    "item no",
    "ref no",
    "index",
    "pos",
    "pos.",
    "fig",
    "callout",
    "#",
    "drawing no",
  ],
  number: [
    "part no",
    "part no.",
    "part number",
    "part #",
    "part",
    "code",
    "article",
    "article no",
    "parts no",
    "parts no.",
    "order no",
    "number",
    "p/n",
    "stock no",
    "sku",
  ],
  description: ["description", "name", "part name", "parts name", "designation", "desc", "what", "text", "nomenclature", "denomination"],
  quantity: ["qty", "qty.", "quantity", "pcs", "pcs.", "q'ty", "count", "per reel", "no. req", "req'd", "units", "amount"],
  price: ["price", "unit price", "each", "retail", "list price", "cost", "eur", "usd", "price each"],
  remarks: ["remarks", "remark", "note", "notes", "comment", "comments", "specification", "size", "material", "from serial"],
};

export const isCallout = (text: string) =>
  /^\(?[0-9OlI|]{1,3}[A-Z]?(?:[-–][0-9]{1,2})?\)?\.?$/.test(text) && /\d/.test(text.replace(/[OlI|]/g, "0"));
export const isPrice = (text: string) => /^(?:[€$£]\s?)?\d{1,5}[.,]\d{2}(?:\s?(?:€|EUR|USD|GBP))?$/i.test(text);
export const isCode = (text: string) =>
  /^[A-Z0-9][A-Z0-9./-]{2,}(?: [A-Z0-9-]{2,})*$/i.test(text) &&
  /\d/.test(text) &&
  (text.length >= 4 || /[A-Z]/i.test(text)) &&
  !isPrice(text);
export const isCount = (text: string) =>
  /^(?:x\s?)?\d{1,2}(?:\s?(?:x|pcs?\.?|pc|ea))?$/i.test(text) || /^(?:a\/r|ar|as req\.?|as required|-)$/i.test(text);
export const isText = (text: string) => (text.match(/\p{L}/gu)?.length ?? 0) >= 3;

/** How a list says that a part is sold under another number; to use or see another is no such word. */
const succession = /\b(?:superseded by|replaced by|replaced with|now sold as|now)\s+([A-Z0-9][A-Z0-9./-]{2,})/i;

/** The number a row's words say a part is sold under now; "" where they say none. */
export function successorIn(words: string): string {
  // Letters set apart on the page come as words of their own.
  const found =
    succession.exec(words)?.[1] ?? /(?:superseded|replaced)by([A-Z0-9][A-Z0-9./-]{2,})/i.exec(words.replace(/\s/g, ""))?.[1] ?? "";
  return /\d/.test(found) ? found.toUpperCase().slice(0, 40) : "";
}

export interface Column extends Span {
  readonly texts: readonly string[];
  readonly header: string;
}

/** What a header is compared by. */
export const plainHeader = (header: string): string => header.toLowerCase().replace(/\s+/g, " ").trim();

/** What a header's words say a column is. @param own headers the shop has named; they go before the common ones. */
export function fieldOfHeader(header: string, own?: ReadonlyMap<string, ListField>): ListField | null {
  const named = own?.get(plainHeader(header));
  if (named) return named;
  const plain = header
    .toLowerCase()
    .replace(/[^\p{L}#/'. ]/gu, "")
    .trim();
  if (!plain) return null;
  const all = listFields.flatMap((field) => headers[field].map((words) => ({ field, words })));
  const whole = all.find(({ words }) => words === plain || words === plain.replace(/\.$/, ""));
  if (whole) return whole.field;
  return (
    all.filter(({ words }) => words.length > 3 && plain.includes(words)).sort((a, b) => b.words.length - a.words.length)[0]?.field ?? null
  );
}

/** The line that names the columns: at least two of them are called something that columns are called. */
export function headerOf(lines: readonly Line[], height: number, own?: ReadonlyMap<string, ListField>): number {
  return lines.findIndex(({ words }) => {
    const phrases: string[] = [];
    let end = Number.NEGATIVE_INFINITY;
    for (const { text, x, w } of words) {
      if (x - end < 0.9 * height && phrases.length) phrases.push(`${phrases.pop()} ${text}`);
      else phrases.push(text);
      end = x + w;
    }
    const said = phrases.map((phrase) => fieldOfHeader(phrase, own));
    const fields = new Set(said.filter((field) => field !== null));
    return fields.size >= 2 && said.filter((field) => field !== null).length >= 0.6 * phrases.length;
  });
}

export const share = (texts: readonly string[], is: (text: string) => boolean) =>
  texts.length ? texts.filter(is).length / texts.length : 0;
const numeral = (text: string) => Number(text.replace(/[^0-9]/g, "") || Number.NaN);

/** How far a column's numbers go up row by row, each once: callouts do, counts do not. */
function rises(texts: readonly string[]): number {
  const numbers = texts.map(numeral).filter(Number.isFinite);
  if (numbers.length < 3) return numbers.length ? 0.5 : 0;
  const up = numbers.slice(1).filter((n, i) => n >= numbers[i]!).length / (numbers.length - 1);
  return up * (new Set(texts).size / texts.length);
}

/** How well a column is a field, by what stands in it. */
function likes(field: ListField, { texts }: Column): number {
  const average = texts.reduce((sum, { length }) => sum + length, 0) / Math.max(1, texts.length);
  switch (field) {
    case "callout":
      return share(texts, isCallout) * (0.35 + 0.65 * rises(texts));
    case "number":
      return (
        share(texts, isCode) * (0.5 + 0.5 * (new Set(texts).size / Math.max(1, texts.length))) * (share(texts, isCallout) > 0.8 ? 0.4 : 1)
      );
    case "description":
      return share(texts, (text) => isText(text) && !(isCode(text) && !text.includes(" "))) * Math.min(1, 0.55 + average / 40);
    case "quantity":
      return share(texts, isCount) * (1.02 - 0.6 * rises(texts));
    case "price":
      return share(texts, isPrice) * 1.1;
    case "remarks":
      return 0.35 * share(texts, isText) + 0.12;
  }
}

/** The fields of a block's columns: the header's word counts, else the best for all of them together. */
export function fieldsOf(columns: readonly Column[], own?: ReadonlyMap<string, ListField>): (ListField | null)[] {
  const said = columns.map(({ header }) => fieldOfHeader(header, own));
  let best: { value: number; fields: (ListField | null)[] } = { value: Number.NEGATIVE_INFINITY, fields: columns.map(() => null) };
  const value = (at: number, field: ListField) => {
    const own = likes(field, columns[at]!);
    // A header that what stands below it denies was read wrong, or belongs to the column beside.
    return said[at] === field ? own + 0.75 : said[at] ? own * 0.5 : own;
  };
  const walk = (at: number, used: ReadonlySet<ListField>, sum: number, fields: (ListField | null)[]) => {
    if (at === columns.length) {
      if (sum > best.value) best = { value: sum, fields: [...fields] };
      return;
    }
    walk(at + 1, used, sum - 0.05, [...fields, null]);
    for (const field of listFields)
      if (!used.has(field)) walk(at + 1, new Set([...used, field]), sum + value(at, field) - 0.12, [...fields, field]);
  };
  walk(0, new Set(), 0, []);
  return best.fields;
}

/** Columns by lists that stand beside each other: each begins again with what the first began with. */
export function blocksOf(columns: readonly Column[], own?: ReadonlyMap<string, ListField>): Column[][] {
  const kind = ({ texts, header }: Column): string =>
    fieldOfHeader(header, own) ??
    (share(texts, isPrice) > 0.6
      ? "price"
      : share(texts, isText) > 0.6
        ? "text"
        : share(texts, isCallout) > 0.7 || share(texts, isCount) > 0.7
          ? "count"
          : "code");
  const kinds = columns.map(kind);
  const texts = kinds.filter((one) => one === "text" || one === "description").length;
  for (let many = Math.min(4, texts); many > 1; many--) {
    if (columns.length % many) continue;
    const each = columns.length / many;
    if (each < 2) continue;
    const alike = kinds.every((one, i) => one === kinds[i % each]);
    if (alike) return Array.from({ length: many }, (_, block) => columns.slice(block * each, (block + 1) * each));
  }
  // By the header alone: a field that is named again begins the next.
  const fields = columns.map(({ header }) => fieldOfHeader(header, own));
  const first = fields.find((field) => field !== null);
  const starts = columns.flatMap((_, i) => (fields[i] === first && first !== undefined ? [i] : []));
  if (starts.length > 1) return starts.map((start, i) => columns.slice(i === 0 ? 0 : start, starts[i + 1] ?? columns.length));
  return [[...columns]];
}
