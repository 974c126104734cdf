import { fileResponse, recordFile } from "@/app/server/files";

/** The whole job as one file for its owner: nothing outside, no script. */
export const GET = recordFile((file, _, job) => fileResponse(file, "text/html; charset=utf-8", `record-${job.tag}.html`));
