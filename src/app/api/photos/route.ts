import { z } from "zod";
import { pictureLoosePart } from "@/data/bench/loose-parts";
import { pictureWell } from "@/data/bench/tray";
import { pictureJob } from "@/data/jobs/jobs";
import { type Context, Refusal } from "@/data/store/context";
import { keepPhoto, photoLimits, washPhoto } from "@/data/store/photos";
import { currentPerson, getDb, logged } from "../../server";

const placeSchema = z.object({
  jobId: z.coerce.number().int().positive(),
  positionId: z.string().min(1).max(60).optional(),
  well: z.coerce.number().int().positive().optional(),
});
const refused = (status: number, message: string) => Response.json({ message }, { status });
/** The form's own parts around the file. */
const formOverheadBytes = 64 * 1024;

/** Takes one picture of an opened joint, or of the reel as it came. What is kept is re-encoded: nothing of the sent file but its pixels. */
export async function POST(request: Request): Promise<Response> {
  const tooLarge = `The picture has more than ${photoLimits.bytes / 1024 / 1024} MB. Set the camera smaller and take it again.`;
  if (Number(request.headers.get("content-length") ?? 0) > photoLimits.bytes + formOverheadBytes) return refused(413, tooLarge);
  const form = await request.formData().catch(() => null);
  const place = placeSchema.safeParse({
    jobId: form?.get("jobId"),
    positionId: form?.get("positionId") ?? undefined,
    well: form?.get("well") ?? undefined,
  });
  const file = form?.get("photo");
  if (!place.success || !(file instanceof File)) return refused(400, "Choose a picture, at the part or the reel it belongs to.");
  if (file.size > photoLimits.bytes) return refused(413, tooLarge);
  try {
    const db = getDb();
    const person = await currentPerson(db);
    const ofTheReel = place.data.positionId === undefined && place.data.well === undefined;
    if (person.role === "counter" && !ofTheReel)
      return refused(403, `${person.name} may not work on the tray. Choose another person at Shop.`);
    const washed = await washPhoto(Buffer.from(await file.arrayBuffer()));
    const ctx: Context = { db, person, now: new Date().toISOString() };
    const { jobId, positionId, well } = place.data;
    const hash = db.transaction(() => {
      const kept = keepPhoto(ctx, washed);
      if (positionId !== undefined) pictureWell(ctx, jobId, positionId, kept);
      else if (well !== undefined) pictureLoosePart(ctx, jobId, well, kept);
      else pictureJob(ctx, jobId, kept);
      return kept;
    })();
    return Response.json({ hash });
  } catch (error) {
    return error instanceof Refusal ? refused(422, error.message) : refused(500, logged("photo", error));
  }
}
