import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { stations } from "@/core/vocabulary/job-kinds";

export const stationMinutes = defineAct({
  name: "station-minutes",
  permission: "bench",
  input: z.object({
    jobId,
    station: z.enum(stations),
    minutes: z.number("Type the minutes.").min(0, "None or more.").max(6000, "At most 100 hours.").nullable(),
  }),
  journals: ["station-time-corrected"],
});
