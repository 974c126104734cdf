/** npm run -s schemas: writes the published JSON Schemas anew: docs/model.schema.json, docs/history.schema.json and docs/calls. A test fails when they are stale. */
import { writeFileSync } from "node:fs";
import { z } from "zod";
import { historySchema } from "@/core/history/history";
import { modelFileSchema } from "@/formats/model-json";
import { calls } from "./calls";

const write = (path: string, schema: z.ZodType) =>
  writeFileSync(path, `${JSON.stringify(z.toJSONSchema(schema, { io: "input" }), null, 2)}\n`);

write("docs/model.schema.json", modelFileSchema);
write("docs/history.schema.json", historySchema);
for (const [name, { input }] of Object.entries(calls)) write(`docs/calls/${name}.schema.json`, input);
