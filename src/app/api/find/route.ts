import { looksLikeTag } from "@/core/tags/tag";
import { findAnything } from "@/data/find";
import { findJobByTag } from "@/data/jobs";
import { getDb } from "../../server";

/** What the finder shows for the letters typed so far. A whole wrong tag says so instead of finding nothing. */
export function GET(request: Request): Response {
  const text = (new URL(request.url).searchParams.get("q") ?? "").slice(0, 80);
  const db = getDb();
  const hits = findAnything(db, text);
  if (!hits.length && looksLikeTag(text) && text.replace(/\D/g, "").length >= 6) {
    const found = findJobByTag(db, text);
    if ("message" in found) return Response.json({ hits, message: found.message });
  }
  return Response.json({ hits });
}
