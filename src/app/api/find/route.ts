import { readFile } from "@/app/server/reading";
import { findBySize } from "@/core/anatomy/find-by-size";
import { sizeWords } from "@/core/anatomy/shapes";
import { looksLikeTag } from "@/core/tags/tag";
import { listPartTypes } from "@/data/catalogue/part-types";
import { type FindHit, findAnything } from "@/data/database/find";
import { findJobByTag } from "@/data/jobs/jobs";

/** What the finder shows for the letters typed so far. A whole wrong tag says so instead of finding nothing. */
export const GET = readFile("rack", (db, _: object, request) => {
  const text = (new URL(request.url).searchParams.get("q") ?? "").slice(0, 80);
  // "washer 20 × 8 × 1": something that was measured, not a name.
  const measured = /\d\s*(?:[x×*\s]\s*\d)/i.test(text) && !looksLikeTag(text) ? findBySize(listPartTypes(db), text) : [];
  const hits: FindHit[] = [
    ...findAnything(db, text),
    ...measured.slice(0, 12).map(({ part, offMm }) => ({
      kind: "part" as const,
      ref: part.id,
      title: `${part.number} ${part.name}, ${sizeWords(part.shape)}${offMm > 0.005 ? ` (${offMm.toFixed(2)} mm off)` : ""}`,
    })),
  ];
  if (!hits.length && looksLikeTag(text) && text.replace(/\D/g, "").length >= 6) {
    const found = findJobByTag(db, text);
    if ("message" in found) return Response.json({ hits, message: found.message });
  }
  return Response.json({ hits });
});
