import { readFile } from "@/app/server/reading";
import { shownVariants } from "@/app/server/variants";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";

/** Ways the reels of a family are built, with their pictures: asked for once somebody opens them. */
export const GET = readFile("library", (_, { family }: { family: string }) =>
  (familyIds as readonly string[]).includes(family)
    ? Response.json(shownVariants[family as FamilyId], { headers: { "cache-control": "private, max-age=3600" } })
    : new Response("There is no such family.", { status: 404 }),
);
