/** Why a reel goes home with a test that is bad still, in the words of the key and of the report. */
export const asItIsReasons = {
  "owner-knows": "the owner knows and accepts it",
  "no-part": "the part is not available",
  "not-better": "this is as good as this reel gets",
  "other-work": "it was not part of this job",
  "sent-on": "someone else will do it",
} as const;
export type AsItIsReason = keyof typeof asItIsReasons;
export const asItIsReasonIds = Object.keys(asItIsReasons) as [AsItIsReason, ...AsItIsReason[]];
