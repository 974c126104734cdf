/** Ways out of a fault that is not put right here, in the words of the key and of the report. */
export const faultOutcomes = {
  declined: { name: "Customer declined", said: "not done: the customer declined it" },
  watch: { name: "Watch it", said: "left for now: look at it again next time" },
  "sent-on": { name: "Send it on", said: "sent on to somebody who does this work" },
  own: { name: "Customer does it at home", said: "left to the owner, who does it at home" },
} as const;
export type FaultOutcome = keyof typeof faultOutcomes;
export const faultOutcomeIds = Object.keys(faultOutcomes) as [FaultOutcome, ...FaultOutcome[]];
