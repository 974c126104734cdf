import type Database from "better-sqlite3";
import type { Chance } from "../any-job/chance";

/** What a hostile hand types into a field. */
export const worstWords: readonly string[] = [
  "",
  " ",
  "0",
  "-1",
  "1e309",
  "NaN",
  "null",
  "undefined",
  "true",
  "__proto__",
  "constructor",
  "toString",
  "' OR 1=1 --",
  '"; DROP TABLE job; --',
  "%00",
  "\u0000",
  "\u202egnp.exe",
  "\ud800",
  "<script>alert(1)</script>",
  "{{7*7}}${7*7}",
  "=HYPERLINK(1)",
  "../../../../etc/passwd",
  "..\\..\\zorbek.db",
  "file:///etc/passwd",
  "http://127.0.0.1:1/",
  "2026-02-30",
  "0000-00-00",
  "9999-12-31T23:59:60Z",
  "99999999999999999999",
  "Z-99999-9",
  "Z-00007-6' --",
  "٣",
  "a".repeat(300),
  "ä".repeat(5000),
  "(".repeat(200),
  "a,b;c\td\ne",
  "%",
  "_%_",
  "NEAR(a b)",
  '"',
  "*",
  "AND OR NOT",
];

export const worstNumbers: readonly number[] = [
  ...[0, -0, 1, -1, 0.5, 1e-9, 5e-324, 1e9, 2 ** 31, 2 ** 53, 2 ** 53 + 2, -(2 ** 53), 1e21, 1e300, -1e300],
];

export interface Schema {
  readonly type?: string | readonly string[];
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly allOf?: readonly Schema[];
  readonly items?: Schema | boolean;
  readonly prefixItems?: readonly Schema[];
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly additionalProperties?: Schema | boolean;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly maxLength?: number;
  readonly $ref?: string;
  readonly $defs?: Readonly<Record<string, Schema>>;
}

const snake = (name: string) => name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
const named = (name: string) => `"${name.replaceAll('"', '""')}"`;

/** What is there under a field's name, in any table: a hostile hand knows real ids. */
export function poolOf(db: Database.Database): (field: string) => readonly unknown[] {
  const tables = db
    .prepare("SELECT name FROM sqlite_schema WHERE type = 'table' AND sql NOT LIKE 'CREATE VIRTUAL%'")
    .pluck()
    .all() as string[];
  const columns = new Map<string, string[]>();
  for (const table of tables)
    for (const { name } of db.pragma(`table_info(${named(table)})`) as { name: string }[])
      columns.set(name, [...(columns.get(name) ?? []), table]);
  const known = new Map<string, readonly unknown[]>();
  const values = (table: string, column: string) =>
    db
      .prepare(`SELECT DISTINCT ${named(column)} FROM ${named(table)} WHERE ${named(column)} IS NOT NULL LIMIT 40`)
      .pluck()
      .all();
  return (field) => {
    const name = snake(field);
    const found =
      known.get(name) ??
      [
        ...(columns.get(name) ?? []).map((table) => [table, name] as const),
        ...(name.endsWith("_id") && tables.includes(name.slice(0, -3)) ? [[name.slice(0, -3), "id"] as const] : []),
      ].flatMap(([table, column]) => values(table, column));
    known.set(name, found);
    return found;
  };
}

interface Hand {
  readonly chance: Chance;
  readonly pool: (field: string) => readonly unknown[];
  /** How often a value is one that no page sends. */
  readonly badness: number;
}

/** A value for a schema: mostly of its shape, with what is there; sometimes what no page sends. @param field what it is called. */
export function valueFor(schema: Schema, hand: Hand, field = "", root: Schema = schema, depth = 0): unknown {
  const { chance, pool, badness } = hand;
  const again = (one: Schema, name = field) => valueFor(one, hand, name, root, depth + 1);
  if (chance.yes(badness)) return chance.one<unknown>([chance.one(worstWords), chance.one(worstNumbers), null, [], {}, true, [[[]]]]);
  if (schema.$ref) return depth > 12 ? null : again(root.$defs?.[schema.$ref.split("/").at(-1)!] ?? (schema.$ref === "#" ? root : {}));
  if (schema.const !== undefined) return schema.const;
  if (schema.enum) return chance.one(schema.enum);
  const of = schema.anyOf ?? schema.oneOf;
  if (of) return again(chance.one(of));
  if (schema.allOf) return Object.assign({}, ...schema.allOf.map((one) => again(one) as object));
  const type = typeof schema.type === "string" ? schema.type : schema.type && chance.one(schema.type);
  const there = pool(field);
  const known = there.length > 0 && chance.yes(0.8) ? chance.one(there) : undefined;
  switch (type) {
    case "integer":
    case "number": {
      if (typeof known === "number") return known;
      const [low, high] = [Math.max(schema.minimum ?? 0, -1e6), Math.min(schema.maximum ?? 60, 1e6)];
      const value = chance.yes(0.2) ? chance.one(worstNumbers) : low + chance.number() * (high - low);
      return type === "integer" ? Math.round(value) : value;
    }
    case "string":
      return typeof known === "string"
        ? known
        : chance.yes(0.5)
          ? chance.one(["A note", "7", "2026-11-30", "spool", "6.35", "B2", "2026-11-30T10:00:00.000Z"])
          : chance.one(worstWords);
    case "boolean":
      return chance.yes(0.5);
    case "null":
      return null;
    case "array": {
      const least = schema.minItems ?? 0;
      const many = Math.min(schema.maxItems ?? 4, least + Math.floor(chance.number() * (depth > 3 ? 2 : 4)));
      if (schema.prefixItems) return schema.prefixItems.map((one) => again(one));
      const one = typeof schema.items === "object" ? schema.items : {};
      return Array.from({ length: many }, () => again(one, field.replace(/s$/, "")));
    }
    case "object": {
      const own = Object.entries(schema.properties ?? {}).flatMap(([name, one]) =>
        chance.yes(0.03) ? [] : [[name, again(one, name)] as const],
      );
      const more =
        typeof schema.additionalProperties === "object" ? [[chance.one(worstWords), again(schema.additionalProperties)] as const] : [];
      return Object.fromEntries([...more, ...own]);
    }
    default:
      return chance.one<unknown>([chance.one(worstWords), chance.one(worstNumbers), null, { a: [1] }]);
  }
}

/** A file bent by chance: cut short, a few bytes turned, a stretch twice, or rubbish at its head. */
export function bent(file: Buffer, { number, one }: Chance): Buffer {
  const at = () => Math.floor(number() * file.length);
  switch (one(["cut", "turned", "twice", "head", "empty"])) {
    case "cut":
      return file.subarray(0, at());
    case "turned": {
      const turned = Buffer.from(file);
      for (let i = 0; i < 1 + number() * 20; i++) turned[at()] = Math.floor(number() * 256);
      return turned;
    }
    case "twice": {
      const cut = at();
      return Buffer.concat([file.subarray(0, cut), file]);
    }
    case "head":
      return Buffer.concat([Buffer.from("GIF89a\u0000\u00ff"), file]);
    default:
      return Buffer.alloc(0);
  }
}
