import { readPhoto } from "@/data/store/photos";
import { getDb } from "../../../server";

/** A kept picture by its hash; always the type it was re-encoded to. */
export async function GET(_request: Request, { params }: { params: Promise<{ hash: string }> }): Promise<Response> {
  const bytes = readPhoto(getDb(), (await params).hash);
  if (!bytes) return new Response("No such picture.", { status: 404 });
  return new Response(new Uint8Array(bytes), {
    headers: { "content-type": "image/jpeg", "cache-control": "private, max-age=31536000, immutable", "content-disposition": "inline" },
  });
}
