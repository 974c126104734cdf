import { setModelPicture } from "@/data/catalogue/model-pictures";
import { type Context, Refusal } from "@/data/store/context";
import { keepPhoto, photoLimits, washSchematic } from "@/data/store/photos";
import { currentPerson, getDb, logged } from "../../../../server";

const refused = (status: number, message: string) => Response.json({ message }, { status });
/** The form's own parts around the file. */
const formOverheadBytes = 64 * 1024;

/** Takes a printed schematic as a picture: PNG, JPEG, WebP, or an SVG, of which only its drawing is kept. */
export async function POST(request: Request, { params }: { params: Promise<{ model: string }> }): Promise<Response> {
  const tooLarge = `The picture has more than ${photoLimits.bytes / 1024 / 1024} MB. Make it smaller.`;
  if (Number(request.headers.get("content-length") ?? 0) > photoLimits.bytes + formOverheadBytes) return refused(413, tooLarge);
  const form = await request.formData().catch(() => null);
  const file = form?.get("picture");
  if (!(file instanceof File)) return refused(400, "Choose a picture of the schematic.");
  if (file.size > photoLimits.bytes) return refused(413, tooLarge);
  try {
    const db = getDb();
    const person = await currentPerson(db);
    if (person.role === "counter") return refused(403, `${person.name} may not change the library. Choose another person at Shop.`);
    const { cleaned, ...washed } = await washSchematic(Buffer.from(await file.arrayBuffer()));
    const ctx: Context = { db, person, now: new Date().toISOString() };
    const modelId = (await params).model;
    db.transaction(() => setModelPicture(ctx, modelId, { hash: keepPhoto(ctx, washed), width: washed.width, height: washed.height }))();
    return Response.json({ cleaned });
  } catch (error) {
    return error instanceof Refusal ? refused(422, error.message) : refused(500, logged("model-picture", error));
  }
}
