import { z } from "zod";
import { defineUpload } from "@/app/server/upload";
import { keepSheetOriginal, keepSheetPage } from "@/data/catalogue/sheets";
import { washPhoto } from "@/data/database/photos";

/** Takes one page of a sheet as a picture: the page that read it drew it. */
export const POST = defineUpload({
  name: "sheet-page",
  field: "picture",
  lacking: "Send the page's picture with its number.",
  input: z.object({ page: z.coerce.number().int().min(1).max(60), as: z.enum(["page", "original"]).default("page") }),
  door: "bench",
  permission: () => "bench",
  wash: washPhoto,
  run: (ctx, { page, as }, washed, { id }: { id: string }) =>
    (as === "page" ? keepSheetPage : keepSheetOriginal)(ctx, Number(id) || 0, page, washed),
});
