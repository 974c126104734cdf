import { z } from "zod";

/** How things of a machine are named inside it: seats, assemblies, operations, editions, part types. */
export const identifier = z.string().regex(/^[a-z0-9][a-z0-9-]{0,59}$/, "small letters, digits and dashes");

/** The id of a catalogue entry out of its number; empty where the number has neither letter nor digit. @example partIdOf("SK-220") // "sk-220" */
export const partIdOf = (number: string): string =>
  number
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 60);
