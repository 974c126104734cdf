import { modelPlates, overviewPlate } from "@/core/schematic/assembly-plate";
import { findModel, getCurrentModelVersion } from "@/data/catalogue/models";
import { platesPdf } from "@/formats/plates-pdf";
import { getDb } from "../../../server";

/** The whole schematic on paper, with its parts lists. */
export async function GET(_request: Request, { params }: { params: Promise<{ model: string }> }): Promise<Response> {
  const db = getDb();
  const model = findModel(db, (await params).model);
  if (!model) return new Response("This model is not in the library.", { status: 404 });
  const { anatomy, partTypes, number } = getCurrentModelVersion(db, model.id);
  if (!anatomy.positions.length) return new Response("This model has no schematic yet.", { status: 404 });
  const bytes = await platesPdf(
    { title: `${model.maker} ${model.name}`, version: number },
    [overviewPlate(anatomy, partTypes), ...modelPlates(anatomy, partTypes)],
    partTypes,
  );
  return new Response(new Uint8Array(bytes), {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": `inline; filename="${model.id}.pdf"`,
      "cache-control": "no-store",
    },
  });
}
