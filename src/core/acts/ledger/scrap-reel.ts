import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

export const scrapReel = defineAct({
  name: "scrap-reel",
  permission: "bench",
  input: z.object({
    reelId: z.number().int().positive(),
    drawer: z.string().trim().max(40, "At most 40 letters."),
    pieces: z.array(z.object({ positionId: z.string().max(60), condition: z.enum(["good", "worn"]) })).max(400),
  }),
  journals: ["reel-scrapped"],
  answer: answers<{ readonly pieces: number }>(),
});
