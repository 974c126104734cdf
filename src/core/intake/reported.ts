import { type ComplaintId, complaints } from "@/core/vocabulary/counter-lists";

/** What the customer reported, as it is read again: the complaints ticked, then their own words; empty where there was nothing. */
export const reportedWords = (job: {
  readonly complaint: string;
  readonly intake: { readonly complaints: readonly ComplaintId[] };
}): string => [...job.intake.complaints.map((id) => complaints[id]), job.complaint].filter(Boolean).join("; ");
