import { readFile } from "@/app/server/reading";
import { readPhoto } from "@/data/database/photos";

/** Shown in the picture's place: what is wrong and what to do. */
const missing = `<svg xmlns="http://www.w3.org/2000/svg" width="360" height="120" viewBox="0 0 360 120"><rect x="1" y="1" width="358" height="118" fill="#FCFCFA" stroke="#1B1F1E" stroke-width="2"/><g font-family="sans-serif" font-size="15" fill="#1B1F1E"><text x="16" y="36" font-weight="bold">This picture's file is missing.</text><text x="16" y="64">npm run doctor names it; a copy under Shop,</text><text x="16" y="86">Backups, may hold it still.</text></g></svg>`;

/** A kept picture by its hash; always the type it was re-encoded to. */
export const GET = readFile("jobs", (db, { hash }: { hash: string }) => {
  const bytes = readPhoto(db, hash);
  if (!bytes) return new Response(missing, { status: 404, headers: { "content-type": "image/svg+xml", "cache-control": "no-store" } });
  return new Response(new Uint8Array(bytes), {
    headers: { "content-type": "image/jpeg", "cache-control": "private, max-age=31536000, immutable", "content-disposition": "inline" },
  });
});
