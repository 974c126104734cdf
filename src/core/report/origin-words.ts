import { type PieceSource, pieceSources } from "@/core/vocabulary/piece-sources";

/** Where a piece in a reel came from, as far as the book knows. */
export interface PieceOrigin {
  readonly origin: "found" | "stock";
  /** The job it was fitted in; null where it was there already. */
  readonly fittedTag: string | null;
  readonly offDonor: boolean;
  readonly source: PieceSource | null;
}

/** Where a piece came from, for its owner. @param tag the job that is told of. */
export function originWords({ origin, fittedTag, offDonor, source }: PieceOrigin, tag: string): string {
  if (origin === "found" || fittedTag === null) return "as it came";
  const from = offDonor ? "used, from a donor" : source ? pieceSources[source].said : "new";
  return fittedTag === tag ? `${from}, fitted now` : `${from}, fitted earlier as ${fittedTag}`;
}
