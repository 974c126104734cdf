/** Why a place that may be oiled gets nothing, in the words of the key and of the report. Nobody has to say one. */
export const leftDryReasons = {
  moist: "still moist",
  sealed: "sealed",
  wiped: "wiped only",
  wish: "the owner's way",
  "no-reach": "not to be reached",
} as const;
export type LeftDryReason = keyof typeof leftDryReasons;
export const leftDryReasonIds = Object.keys(leftDryReasons) as [LeftDryReason, ...LeftDryReason[]];
