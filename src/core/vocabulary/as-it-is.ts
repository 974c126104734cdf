/** Why a reel goes home with a test that is bad still, in the words of the key and of the report. */
export const asItIsReasons = {
  "owner-knows": "the owner knows of it and takes it so",
  "no-part": "the part for it is not to be had",
  "not-better": "it is as good as this reel gets",
  "other-work": "it was not part of this job",
  "sent-on": "somebody else will see to it",
} as const;
export type AsItIsReason = keyof typeof asItIsReasons;
export const asItIsReasonIds = Object.keys(asItIsReasons) as [AsItIsReason, ...AsItIsReason[]];
