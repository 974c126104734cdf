import { fileResponse, modelFile } from "@/app/server/files";
import { modelPlates, overviewPlate } from "@/core/schematic/assembly-plate";
import { plateSvg } from "@/formats/plate-svg";

/** One plate as an SVG file; `?plate=` names it, the overview without; `?small` as an emblem. */
export const GET = modelFile((model, { anatomy, partTypes }, query) => {
  const wanted = query.get("plate") ?? "overview";
  const plate = [overviewPlate(anatomy, partTypes), ...modelPlates(anatomy, partTypes)].find((candidate) => candidate.id === wanted);
  if (!plate) return new Response("This model has no such plate.", { status: 404 });
  return fileResponse(
    plateSvg(plate, (id) => partTypes.get(id)?.name ?? id, query.has("small")),
    "image/svg+xml",
    `${model.id}-${plate.id}.svg`,
  );
});
