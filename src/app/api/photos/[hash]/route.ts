import { readFile } from "@/app/server/reading";
import { readPhoto } from "@/data/store/photos";

/** A kept picture by its hash; always the type it was re-encoded to. */
export const GET = readFile("jobs", (db, { hash }: { hash: string }) => {
  const bytes = readPhoto(db, hash);
  if (!bytes) return new Response("No such picture.", { status: 404 });
  return new Response(new Uint8Array(bytes), {
    headers: { "content-type": "image/jpeg", "cache-control": "private, max-age=31536000, immutable", "content-disposition": "inline" },
  });
});
