import { z } from "zod";
import { defineUpload } from "@/app/server/upload";
import { setModelPicture } from "@/data/catalogue/model-pictures";
import { keepPhoto, washSchematic } from "@/data/database/photos";

/** Takes a printed schematic as a picture: PNG, JPEG, WebP, or an SVG, of which only its drawing is kept. */
export const POST = defineUpload({
  name: "model-picture",
  field: "picture",
  lacking: "Choose a picture of the schematic.",
  input: z.object({}),
  door: "bench",
  permission: () => "bench",
  wash: washSchematic,
  run: (ctx, _, { cleaned, ...washed }, { model }: { model: string }) => {
    setModelPicture(ctx, model, { hash: keepPhoto(ctx, washed), width: washed.width, height: washed.height });
    return { cleaned };
  },
});
