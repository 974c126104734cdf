import { findModel, getCurrentModelVersion } from "@/data/catalogue/models";
import { writeModelJson } from "@/formats/model-json";
import { getDb } from "../../../server";

/** The newest version of a model as a file. */
export async function GET(_request: Request, { params }: { params: Promise<{ model: string }> }): Promise<Response> {
  const db = getDb();
  const model = findModel(db, (await params).model);
  if (!model) return new Response("This model is not in the library.", { status: 404 });
  const { anatomy, partTypes, lineRadiusMm } = getCurrentModelVersion(db, model.id);
  return new Response(writeModelJson({ model, lineRadiusMm, partTypes: [...partTypes.values()], anatomy }), {
    headers: {
      "content-type": "application/json; charset=utf-8",
      "content-disposition": `attachment; filename="${model.id}.model.json"`,
      "cache-control": "no-store",
    },
  });
}
