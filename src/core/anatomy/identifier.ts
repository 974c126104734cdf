import { z } from "zod";

/** How things of a machine are named inside it: seats, assemblies, operations, editions, part types. */
export const identifier = z.string().regex(/^[a-z0-9][a-z0-9-]{0,59}$/, "small letters, digits and dashes");
