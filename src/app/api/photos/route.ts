import { z } from "zod";
import { defineUpload } from "@/app/server/upload";
import { pictureLoosePart } from "@/data/bench/loose-parts";
import { pictureWell } from "@/data/bench/tray";
import { keepPhoto, washPhoto } from "@/data/database/photos";
import { pictureJob } from "@/data/jobs/jobs";

/** Takes one picture of an opened joint, or of the reel as it came. What is kept is re-encoded: nothing of the sent file but its pixels. */
export const POST = defineUpload({
  name: "photo",
  field: "photo",
  lacking: "Choose a picture, at the part or the reel it belongs to.",
  input: z.object({
    jobId: z.coerce.number().int().positive(),
    positionId: z.string().min(1).max(60).optional(),
    well: z.coerce.number().int().positive().optional(),
  }),
  door: "counter",
  permission: ({ positionId, well }) => (positionId === undefined && well === undefined ? "counter" : "bench"),
  wash: washPhoto,
  run: (ctx, { jobId, positionId, well }, washed) => {
    const hash = keepPhoto(ctx, washed);
    if (positionId !== undefined) pictureWell(ctx, jobId, positionId, hash);
    else if (well !== undefined) pictureLoosePart(ctx, jobId, well, hash);
    else pictureJob(ctx, jobId, hash);
    return { hash };
  },
});
