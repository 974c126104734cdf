import { modelPlates, overviewPlate } from "@/core/schematic/assembly-plate";
import { findModel, getCurrentModelVersion } from "@/data/catalogue/models";
import { plateSvg } from "@/formats/plate-svg";
import { getDb } from "../../../server";

/** One plate as an SVG file; `?plate=` names it, the overview without. */
export async function GET(request: Request, { params }: { params: Promise<{ model: string }> }): Promise<Response> {
  const db = getDb();
  const model = findModel(db, (await params).model);
  if (!model) return new Response("This model is not in the library.", { status: 404 });
  const { anatomy, partTypes } = getCurrentModelVersion(db, model.id);
  const wanted = new URL(request.url).searchParams.get("plate") ?? "overview";
  const plate = [overviewPlate(anatomy, partTypes), ...modelPlates(anatomy, partTypes)].find((candidate) => candidate.id === wanted);
  if (!plate) return new Response("This model has no such plate.", { status: 404 });
  return new Response(
    plateSvg(plate, (id) => partTypes.get(id)?.name ?? id),
    {
      headers: {
        "content-type": "image/svg+xml",
        "content-disposition": `attachment; filename="${model.id}-${plate.id}.svg"`,
        "cache-control": "no-store",
      },
    },
  );
}
