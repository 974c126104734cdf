/** What a customer's word says of a job's sum as it stands now. */
export type Consent = "within-limit" | "agreed" | "ask" | "refused" | "call";

/**
 * What the customer's word says. Above the limit they are asked, and a yes covers no more than the sum it was given for; a wish to be called for a
 * part comes on top of that and never hides it.
 * @param limitMinor null when no limit was agreed: then every quote is asked for.
 * @param call whether a part is in it for which the customer wants to be called whatever the sum.
 * @param partsOver whether the new parts alone come to more than was agreed for parts: then it is asked, whatever the whole comes to.
 */
export function consentFor(
  totalMinor: number,
  limitMinor: number | null,
  answers: readonly { readonly accepted: boolean; readonly totalMinor: number }[],
  call = false,
  partsOver = false,
): Consent {
  const last = answers.at(-1);
  if (last && !last.accepted && last.totalMinor <= totalMinor) return "refused";
  const within = limitMinor !== null && totalMinor <= limitMinor && !partsOver;
  if (answers.some((answer) => answer.accepted && answer.totalMinor >= totalMinor)) return within ? "within-limit" : "agreed";
  if (!within) return "ask";
  return call ? "call" : "within-limit";
}

/** Whether the work may go on: the one question that strip, fit, need, order, lot and rack ask before anything is done or bought. */
export const mayGoOn = (consent: Consent): boolean => consent === "within-limit" || consent === "agreed";

/** Whether the reel may be opened: that is agreed by itself where it came to be opened only, whatever is found on the way. */
export const mayOpen = ({ consent, openingAgreed }: { readonly consent: Consent; readonly openingAgreed: boolean }): boolean =>
  mayGoOn(consent) || (openingAgreed && consent !== "refused");

/**
 * Whether it is the customer who has to say something now. Before anything was found there is nothing to ask about; a no was an answer: what
 * follows from it is ours to do.
 */
export const waitsForAnswer = ({ consent, faults }: { readonly consent: Consent; readonly faults: number }): boolean =>
  consent === "call" || (consent === "ask" && faults > 0);
