import { readFile } from "@/app/server/reading";
import { familyWords } from "@/core/vocabulary/families";
import { searchModels } from "@/data/catalogue/model-list";

/** Models of the library for a search field. */
export const GET = readFile("library", (db, _: object, request) =>
  Response.json(
    searchModels(db, (new URL(request.url).searchParams.get("q") ?? "").slice(0, 80), 12).map(({ id, maker, name, family }) => ({
      id,
      name: `${maker} ${name}`,
      note: familyWords[family],
      family,
    })),
  ),
);
