import { z } from "zod";
import { checkAnatomy } from "@/core/anatomy/check-anatomy";
import { anatomySchema, partTypeSchema } from "@/core/anatomy/types";
import { modelFileLimit } from "@/core/bring-in/table";
import { fail, ok, type Result } from "@/core/result";
import { familyIds } from "@/core/vocabulary/families";

/**
 * A whole model as one file: the machine, its catalogue entries, nothing of any job. JSON is the exact form: what is written is read back
 * without a difference. The schema is published in docs/model.schema.json.
 */
export const modelFileSchema = z.strictObject({
  format: z.literal("zorbek-model"),
  formatVersion: z.literal(1),
  model: z.strictObject({
    id: z.string().regex(/^[a-z0-9][a-z0-9-]{0,59}$/, "small letters, digits and dashes"),
    maker: z.string().trim().min(1).max(60),
    name: z.string().trim().min(1).max(60),
    family: z.enum(familyIds),
  }),
  lineRadiusMm: z.number().positive().max(200),
  partTypes: z.array(partTypeSchema).max(1000),
  anatomy: anatomySchema,
});
export type ModelFile = z.infer<typeof modelFileSchema>;

export const writeModelJson = (file: Omit<ModelFile, "format" | "formatVersion">): string =>
  // Through the schema, so that the fields of a machine always stand in one order however it was made.
  `${JSON.stringify(modelFileSchema.parse({ format: "zorbek-model", formatVersion: 1, ...file } satisfies ModelFile), null, 2)}\n`;

/**
 * Reads a model file.
 * @returns `too-large`, `not-json`, `not-a-model` with the first places that do not fit, or `does-not-fit` with what is wrong with the machine.
 */
export function readModelJson(text: string): Result<ModelFile, "too-large" | "not-json" | "not-a-model" | "does-not-fit"> {
  if (text.length > modelFileLimit) return fail("too-large", `The file has more than ${modelFileLimit / 1024 / 1024} MB.`);
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return fail("not-json", "This file is no JSON. Choose a model that Zorbek wrote, or one made after docs/model.schema.json.");
  }
  const parsed = modelFileSchema.safeParse(json);
  if (!parsed.success) {
    const places = parsed.error.issues.slice(0, 5).map((issue) => `${issue.path.join(".") || "file"}: ${issue.message}`);
    const more = parsed.error.issues.length > 5 ? ` (and ${parsed.error.issues.length - 5} more)` : "";
    return fail("not-a-model", `${places.join("\n")}${more}`);
  }
  const twice = parsed.data.partTypes.find((part, i) => parsed.data.partTypes.findIndex((other) => other.id === part.id) !== i);
  if (twice) return fail("does-not-fit", `Part ${twice.id} is in the file twice.`);
  const faults = checkAnatomy(parsed.data.anatomy, parsed.data.partTypes);
  return faults.length ? fail("does-not-fit", faults.map((fault) => fault.message).join("\n")) : ok(parsed.data);
}
