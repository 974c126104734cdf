import { z } from "zod";
import { Refusal } from "./context";

/**
 * What a statement found, each row read by a schema: a column that was renamed, or holds what it should not, fails here by its name, and not three
 * rooms further on as something that is undefined. @throws ZodError
 */
export const rows = <S extends z.ZodType>(schema: S, found: readonly unknown[]): z.output<S>[] => z.array(schema).parse(found);

/** The one row a statement looked for; null where there is none. @throws ZodError */
export const row = <S extends z.ZodType>(schema: S, found: unknown): z.output<S> | null =>
  found === undefined ? null : schema.parse(found);

/** What a press made of what was typed, as it is kept. @throws Refusal that names what of it cannot be kept, where a schema for the press let it through */
export function toKeep<S extends z.ZodType>(schema: S, made: z.input<S>): z.output<S> {
  const read = schema.safeParse(made);
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  const field = issue?.path.join(".") ?? "";
  throw new Refusal(
    "cannot-keep",
    `This cannot be kept${field && ` (${field})`}: ${issue?.message ?? ""} Nothing was changed.`,
    field || null,
  );
}

/** Columns as SQLite gives them. */
export const id = z.number().int();
export const count = z.number().int();
export const minor = z.number().int();
/** A flag kept as 0 or 1. */
export const flag = z.union([z.literal(0), z.literal(1)]).transform((kept) => kept === 1);
