import Papa from "papaparse";
import { partIdOf } from "@/core/anatomy/identifier";
import { kindWords, type PartKind, type PartShape, shapeSchema, sizeLabel } from "@/core/anatomy/shapes";
import { type PartType, partTypeSchema } from "@/core/anatomy/types";
import { typicalShapes } from "@/core/anatomy/typical-shape";
import { parseMinor } from "@/core/money/money";

export interface CsvFault {
  /** Line of the file as a spreadsheet counts it: the header is 1. */
  readonly row: number;
  readonly column: string;
  readonly message: string;
}

export interface PartsCsv {
  readonly parts: readonly PartType[];
  readonly faults: readonly CsvFault[];
  /** Every column of the file with what it is taken for; empty for nothing. */
  readonly columns: readonly { readonly column: string; readonly meaning: string }[];
  /** Columns that mean nothing here; said, not silently dropped. */
  readonly ignored: readonly string[];
  readonly rows: number;
}

/** The columns read, each with the headings it goes by. Sizes go by their own names: outside, inside, thickness, teeth ... */
const headings: Readonly<Record<"number" | "name" | "kind" | "role" | "material" | "price", readonly string[]>> = {
  number: ["number", "part number", "part no", "no"],
  name: ["name", "description", "part"],
  kind: ["kind", "type"],
  role: ["role"],
  material: ["material"],
  price: ["price", "price each", "unit price"],
};

const plain = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[_-]+/g, " ")
    .replace(/\s+/g, " ")
    .replace(/[,(]? ?mm\)?$/, "")
    .trim();
const kindOf = new Map<string, PartKind>(
  Object.entries(kindWords).flatMap(([kind, words]) => [
    [plain(kind), kind as PartKind],
    [plain(words), kind as PartKind],
  ]),
);
const sizeKeys = [
  ...new Set(
    Object.values(typicalShapes).flatMap((shape) =>
      Object.entries(shape).flatMap(([key, value]) => (typeof value === "number" ? [key] : [])),
    ),
  ),
];

/** Everything a column can mean, with its words: what a part is told by, then the sizes of every kind. */
export const columnMeanings: Readonly<Record<string, string>> = {
  number: "part number",
  name: "name",
  kind: "kind",
  role: "role",
  material: "material",
  price: "price",
  ...Object.fromEntries(sizeKeys.map((key) => [key, sizeLabel(key)])),
};

/** What a heading means by its own words; nothing for a strange one. */
function meaningOf(column: string): string {
  const heading = plain(column);
  const told = Object.entries(headings).find(([, names]) => names.includes(heading))?.[0];
  return told ?? sizeKeys.find((key) => plain(sizeLabel(key)) === heading) ?? "";
}

/**
 * Reads a parts list from a spreadsheet's CSV (RFC 4180; comma, semicolon or tab). Sizes that a row does not give are the kind's typical
 * ones. Nothing is taken from a list with faults: the caller imports all of it or none.
 * @param known ids and numbers already in the catalogue, which a row may not repeat.
 * @param mapping what columns mean where somebody said so; an empty meaning leaves the column out.
 */
export function readPartsCsv(
  text: string,
  known: (part: { id: string; number: string }) => boolean,
  mapping: Readonly<Record<string, string>> = {},
): PartsCsv {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ""), { header: true, skipEmptyLines: "greedy" });
  const columns = (meta.fields ?? []).map((column) => ({ column, meaning: mapping[column] ?? meaningOf(column) }));
  const columnOf = Object.fromEntries(
    Object.keys(headings).map((key) => [key, columns.find(({ meaning }) => meaning === key)?.column]),
  ) as Record<keyof typeof headings, string | undefined>;
  const faults: CsvFault[] = [];
  for (const key of ["number", "name", "kind"] as const)
    if (!columnOf[key]) faults.push({ row: 1, column: key, message: `No column is the ${columnMeanings[key]}. Choose it below.` });
  for (const [i, { column, meaning }] of columns.entries())
    if (meaning && columns.findIndex((other) => other.meaning === meaning) < i)
      faults.push({ row: 1, column, message: `Two columns are the ${columnMeanings[meaning] ?? meaning}. Leave one of them out.` });
  const sizeOf = new Map(columns.filter(({ meaning }) => sizeKeys.includes(meaning)).map(({ column, meaning }) => [column, meaning]));
  const ignored = columns.filter(({ meaning }) => !(meaning in columnMeanings)).map(({ column }) => column);
  if (faults.length) return { parts: [], faults, columns, ignored, rows: data.length };

  const parts: PartType[] = [];
  const seen = new Map<string, number>();
  for (const [index, cells] of data.entries()) {
    const row = index + 2;
    const say = (column: string, message: string) => faults.push({ row, column, message });
    const cell = (key: keyof typeof headings) => (columnOf[key] ? (cells[columnOf[key]] ?? "").trim() : "");
    const number = cell("number");
    const id = partIdOf(number);
    if (!id) {
      say("number", "Enter a part number with letters or digits.");
      continue;
    }
    const before = seen.get(id);
    if (before) {
      say("number", `${number} is already in row ${before}.`);
      continue;
    }
    seen.set(id, row);
    if (known({ id, number })) say("number", `${number} is in the catalogue already.`);
    if (!cell("name")) say("name", "Enter a name for the part.");
    const kind = kindOf.get(plain(cell("kind")));
    const price = cell("price") ? parseMinor(cell("price")) : 0;
    if (price === null) say("price", `"${cell("price")}" is not an amount; write it like 3.40.`);
    if (!kind) {
      say(
        "kind",
        `"${cell("kind")}" is not a known kind of part. Known kinds: ${["screw", "friction washer", "ball bearing"].join(", ")}.`,
      );
      continue;
    }
    const shape: Record<string, unknown> = { ...typicalShapes[kind] };
    for (const [column, key] of sizeOf) {
      const typed = (cells[column] ?? "").trim();
      if (!typed || !(key in shape)) continue;
      const value = Number(typed.replace(",", "."));
      if (Number.isFinite(value) && value > 0) shape[key] = value;
      else say(column, `"${typed}" is not a size above 0.`);
    }
    const part = partTypeSchema.safeParse({
      id,
      number,
      name: cell("name") || "-",
      role: cell("role") ? partIdOf(cell("role")) : kind,
      shape: shapeSchema.safeParse(shape).data ?? (typicalShapes[kind] as PartShape),
      material: cell("material") || "not known yet",
      priceMinor: price ?? 0,
    });
    if (part.success) parts.push(part.data);
    else for (const issue of part.error.issues) say(issue.path.join("."), issue.message);
  }
  return {
    parts: faults.length ? [] : parts,
    faults,
    columns,
    ignored,
    rows: data.length,
  };
}
