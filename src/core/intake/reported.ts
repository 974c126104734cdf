import { type ComplaintId, complaints } from "@/core/vocabulary/counter-lists";

const bare = (words: string): string =>
  words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, " ")
    .trim();

/** What the customer reported, as it is read again: the complaints ticked, then their own words where they say more; empty where there was nothing. */
export const reportedWords = (job: {
  readonly complaint: string;
  readonly intake: { readonly complaints: readonly ComplaintId[] };
}): string => {
  const ticked = job.intake.complaints.map((id) => complaints[id]);
  const said = ticked.some((one) => bare(one) === bare(job.complaint)) ? "" : job.complaint;
  return [...ticked, said].filter(Boolean).join("; ");
};
