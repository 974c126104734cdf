import { fileResponse, modelFile } from "@/app/server/files";
import { writeModelJson } from "@/formats/model-json";

/** The newest version of a model as a file. */
export const GET = modelFile((model, { anatomy, partTypes, lineRadiusMm }) =>
  fileResponse(
    writeModelJson({ model, lineRadiusMm, partTypes: [...partTypes.values()], anatomy }),
    "application/json; charset=utf-8",
    `${model.id}.model.json`,
  ),
);
