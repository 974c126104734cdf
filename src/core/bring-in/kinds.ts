import { parseMinor } from "@/core/money/money";

interface Field {
  readonly words: string;
  readonly must?: true;
  /** What other programs' columns are called, in small letters. */
  readonly headings: readonly string[];
  /** What is wrong with a cell; null where nothing is. */
  readonly check?: (cell: string) => string | null;
  readonly most?: number;
}

const isDay = (cell: string) => (dayOf(cell) ? null : "A day as 2024-05-31, 31.5.2024 or 31/5/2024.");
const isAmount = (cell: string) => (parseMinor(cell.replace(/\s|(?<=\d)['’](?=\d)/g, "")) === null ? "An amount such as 12.50." : null);
const isCount = (cell: string) => (/^\d{1,6}$/.test(cell) ? null : "Enter a whole number, 0 or more.");

/** A day as people write it, ISO; null for anything else, and for a day no calendar has. Day before month where both could be. */
export function dayOf(text: string): string | null {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})/.exec(text);
  const other = /^(\d{1,2})[./](\d{1,2})[./](\d{4})$/.exec(text);
  const [year, month, day] = iso ? [iso[1]!, iso[2]!, iso[3]!] : other ? [other[3]!, other[2]!, other[1]!] : [];
  if (!year || !month || !day) return null;
  const words = `${year}-${month.padStart(2, "0")}-${day.padStart(2, "0")}`;
  const made = new Date(`${words}T00:00:00Z`);
  return !Number.isNaN(made.getTime()) && made.toISOString().startsWith(words) ? words : null;
}

/** What can be brought in, and the columns each is told by. */
export const bringInKinds = {
  customers: {
    name: "Customers",
    fields: {
      name: { words: "name", must: true, headings: ["name", "customer", "full name"], most: 80 },
      phone: { words: "phone", headings: ["phone", "telephone", "mobile", "tel"], most: 40 },
      email: { words: "e-mail", headings: ["email", "e-mail", "mail"], most: 120 },
      address: { words: "address", headings: ["address", "street", "street and town", "postal address"], most: 200 },
      town: { words: "town", headings: ["town", "city", "place", "postcode and town"], most: 100 },
      note: { words: "note", headings: ["note", "notes", "remark", "remarks", "comment"], most: 500 },
    },
  },
  reels: {
    name: "Reels, with an earlier visit",
    fields: {
      owner: { words: "owner (a customer's name)", must: true, headings: ["owner", "customer", "name"], most: 80 },
      maker: { words: "maker", headings: ["maker", "make", "brand"], most: 60 },
      model: { words: "model", must: true, headings: ["model", "reel", "type"], most: 60 },
      serial: { words: "serial", headings: ["serial", "serial number", "serial no", "number"], most: 40 },
      hand: {
        words: "hand (right or left)",
        headings: ["hand", "side"],
        check: (cell) => (/^(r|l|right|left)( hand)?$/i.test(cell) ? null : "Right or left."),
      },
      visitOn: { words: "visit: day", headings: ["visit", "date", "day", "last service", "serviced on"], check: isDay },
      visitWords: { words: "visit: what was done", headings: ["work", "done", "service", "what was done"], most: 500 },
      visitPaid: { words: "visit: paid", headings: ["paid", "price", "total", "amount"], check: isAmount },
    },
  },
  suppliers: {
    name: "Suppliers",
    fields: {
      name: { words: "name", must: true, headings: ["name", "supplier"], most: 60 },
      postage: { words: "postage", headings: ["postage", "shipping", "carriage"], check: isAmount },
      leadDays: { words: "days until it comes", headings: ["days", "lead time", "lead days"], check: isCount },
    },
  },
  prices: {
    name: "A supplier's price list",
    fields: {
      supplier: { words: "supplier", must: true, headings: ["supplier", "from"], most: 60 },
      number: { words: "part number", must: true, headings: ["number", "part number", "part no", "part", "code"], most: 40 },
      price: { words: "price", must: true, headings: ["price", "unit price", "price each", "cost"], check: isAmount },
    },
  },
  parts: {
    name: "Parts, prices and shelves",
    fields: {
      number: {
        words: "part number",
        must: true,
        headings: ["part number", "number", "part no", "part", "code", "article", "ref"],
        most: 40,
      },
      name: { words: "what it is", must: true, headings: ["description", "name", "part name", "designation", "what", "text"], most: 80 },
      price: { words: "price", headings: ["price", "unit price", "price each", "retail", "cost"], check: isAmount },
      count: { words: "count", headings: ["quantity", "qty", "count", "stock", "pieces", "on hand"], check: isCount },
      bin: { words: "shelf", headings: ["shelf", "bin", "drawer", "place", "location", "box"], most: 20 },
      minimum: { words: "least", headings: ["minimum", "least", "min", "reorder"], check: isCount },
      supplier: { words: "supplier", headings: ["supplier", "vendor", "bought from", "from"], most: 60 },
      supplierPrice: { words: "supplier's price", headings: ["supplier price", "buying price", "net price", "net"], check: isAmount },
      material: { words: "material", headings: ["material"], most: 40 },
    },
  },
  stock: {
    name: "Stock",
    fields: {
      number: { words: "part number", must: true, headings: ["number", "part number", "part no", "part", "code"], most: 40 },
      bin: { words: "bin", must: true, headings: ["bin", "drawer", "place", "location"], most: 20 },
      count: { words: "count", must: true, headings: ["count", "quantity", "qty", "stock", "pieces"], check: isCount },
      minimum: { words: "least", headings: ["minimum", "least", "min", "reorder"], check: isCount },
    },
  },
} as const satisfies Record<string, { readonly name: string; readonly fields: Readonly<Record<string, Field>> }>;
export type BringInKind = keyof typeof bringInKinds;
export const bringInKindIds = Object.keys(bringInKinds) as [BringInKind, ...BringInKind[]];

const fieldsOf = (kind: BringInKind): [string, Field][] => Object.entries(bringInKinds[kind].fields);

/** Which column each field is read from; fields no column was found for are not in it. */
export type ColumnsOf = Readonly<Record<string, number>>;

const plain = (heading: string) =>
  heading
    .toLowerCase()
    .replace(/[_\s]+/g, " ")
    .trim();

/** The columns by their headings, the surest first; what is not found is chosen by hand. */
export function guessColumns(kind: BringInKind, columns: readonly string[]): ColumnsOf {
  const taken = new Set<number>();
  const found: Record<string, number> = {};
  for (const sure of [true, false])
    for (const [id, { headings }] of fieldsOf(kind)) {
      if (found[id] !== undefined) continue;
      const at = columns.findIndex(
        (column, i) => !taken.has(i) && headings.some((heading) => (sure ? plain(column) === heading : plain(column).includes(heading))),
      );
      if (at < 0) continue;
      taken.add(at);
      found[id] = at;
    }
  return found;
}

/** The kind whose columns these are: the one that was chosen while all it must have is there, else the one that has all and most of them. */
export function kindOfColumns(columns: readonly string[], chosen: BringInKind): BringInKind {
  const fits = (kind: BringInKind) => {
    const found = guessColumns(kind, columns);
    return fieldsOf(kind).every(([id, { must }]) => !must || found[id] !== undefined) ? Object.keys(found).length : 0;
  };
  if (fits(chosen)) return chosen;
  const [best] = [...bringInKindIds].sort((a, b) => fits(b) - fits(a));
  return best && fits(best) > 1 ? best : chosen;
}

export interface RowFault {
  /** Line of the file as a spreadsheet counts it: the head is 1, an empty line counts. */
  readonly row: number;
  readonly field: string;
  readonly message: string;
}
export type BringInRow = Readonly<Record<string, string>>;

/** The rows as they would come in, and what is wrong with each by itself. Nothing is brought in while anything is. */
export function rowsOf(
  kind: BringInKind,
  rows: readonly (readonly string[])[],
  of: ColumnsOf,
  lines: readonly number[] = rows.map((_, i) => i + 2),
): { readonly rows: BringInRow[]; readonly faults: RowFault[] } {
  const faults: RowFault[] = [];
  const missing = fieldsOf(kind).filter(([id, { must }]) => must && of[id] === undefined);
  if (missing.length)
    return { rows: [], faults: missing.map(([id, { words }]) => ({ row: 1, field: id, message: `Say which column is the ${words}.` })) };
  const made = rows.map((cells, i): BringInRow => {
    const row = Object.fromEntries(fieldsOf(kind).flatMap(([id]) => (of[id] === undefined ? [] : [[id, cells[of[id]!] ?? ""]])));
    for (const [id, { must, most, check, words }] of fieldsOf(kind)) {
      const cell = row[id];
      if (cell === undefined) continue;
      const message =
        cell === ""
          ? must
            ? `No ${words} here.`
            : null
          : cell.length > (most ?? 200)
            ? `At most ${most ?? 200} letters.`
            : (check?.(cell) ?? null);
      if (message) faults.push({ row: lines[i]!, field: id, message });
    }
    return row;
  });
  return { rows: made, faults };
}

/** A row that cannot come in, told with its line and its column. */
export const faultWords = (kind: BringInKind, { row, field, message }: RowFault, columns: readonly string[], of: ColumnsOf): string => {
  const at = of[field];
  const words = Object.hasOwn(bringInKinds[kind].fields, field) ? fieldsOf(kind).find(([id]) => id === field)![1].words : field;
  return `Line ${row}, ${at === undefined ? words : `column "${columns[at] ?? words}"`}: ${message}`;
};

/** The rows that stay out, as a table with what is wrong with each in a last column; the head first. */
export function leftOutRows(
  table: { readonly columns: readonly string[]; readonly rows: readonly (readonly string[])[]; readonly lines: readonly number[] },
  faults: readonly RowFault[],
): string[][] {
  const wrong = new Map<number, string[]>();
  for (const { row, message } of faults) wrong.set(row, [...(wrong.get(row) ?? []), message]);
  return [
    [...table.columns, "why it was left out"],
    ...table.rows.flatMap((cells, i) => {
      const why = wrong.get(table.lines[i]!);
      return why ? [[...table.columns.map((_, at) => cells[at] ?? ""), why.join(" ")]] : [];
    }),
  ];
}

/** What the columns of a kind are called in a file made for it: a template's one line. */
export const templateColumns = (kind: BringInKind): string[] => fieldsOf(kind).map(([, { words }]) => words.replace(/ \(.*\)$/, ""));
