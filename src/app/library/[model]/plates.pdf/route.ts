import { modelFile, pdfResponse } from "@/app/server/files";
import { modelPlates, overviewPlate } from "@/core/schematic/assembly-plate";
import { platesPdf } from "@/formats/plates-pdf";

/** The whole schematic on paper, with its parts lists. */
export const GET = modelFile(async (model, { anatomy, partTypes, number }) => {
  if (!anatomy.positions.length) return new Response("This model has no schematic yet.", { status: 404 });
  const bytes = await platesPdf(
    { title: `${model.maker} ${model.name}`, version: number },
    [overviewPlate(anatomy, partTypes), ...modelPlates(anatomy, partTypes)],
    partTypes,
  );
  return pdfResponse(bytes, `${model.id}.pdf`);
});
