import { z } from "zod";
import { defineUpload } from "@/app/server/upload";
import { keepSheetPage } from "@/data/catalogue/sheets";
import { washPhoto } from "@/data/database/photos";

/** Takes one page of a sheet as a picture: the page that read it drew it. */
export const POST = defineUpload({
  name: "sheet-page",
  field: "picture",
  lacking: "Send the page's picture with its number.",
  input: z.object({ page: z.coerce.number().int().min(1).max(60) }),
  door: "bench",
  permission: () => "bench",
  wash: washPhoto,
  run: (ctx, { page }, washed, { id }: { id: string }) => keepSheetPage(ctx, Number(id) || 0, page, washed),
});
