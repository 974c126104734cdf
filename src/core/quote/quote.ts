import type { Fault, Remedy } from "@/core/diagnosis/fault";
import { opensReel } from "@/core/intake/job-kinds";
import { formatMinor, shareOf, taxOnNet } from "@/core/money/money";
import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import type { JobPath } from "@/core/vocabulary/job-kinds";
import { type PieceSource, pieceSources } from "@/core/vocabulary/piece-sources";
import type { WhoPays } from "@/core/vocabulary/who-pays";
import { calledFor } from "./call-for";
import { type Cover, coversFault, coversPart } from "./comeback";
import { type Consent, consentFor, mayGoOn } from "./consent";
import type { KitPart } from "./kit-lines";
import type { ExtraLine, LabourLine, PartLine } from "./lines";
import { byTheClock } from "./price-list";
import { type PinnedRates, type QuoteSum, quoteSum } from "./quote-sum";
import { serviceLines } from "./service-lines";

/** What the customer said to a sum, in their words. */
export interface Answer {
  readonly accepted: boolean;
  readonly totalMinor: number;
  readonly words: string;
  readonly at: string;
  readonly person: string;
}

export interface Quote {
  readonly labour: readonly LabourLine[];
  readonly parts: readonly (PartLine & Pick<KitPart, "positionId" | "kit">)[];
  /** Consumables (id 0) and lines of the shop's own. */
  readonly extras: readonly (ExtraLine & { readonly id: number })[];
  readonly sum: QuoteSum;
  readonly answers: readonly Answer[];
  readonly consent: Consent;
  /** Faults found so far: before the first there is nothing to ask about. */
  readonly faults: number;
  /** Parts in it for which the customer wants to be called, and for which nobody was. */
  readonly callFor: readonly string[];
  /** The new parts alone come to more than was agreed for parts. */
  readonly partsOver: boolean;
  /** It came to be opened only, and that costs no more than was agreed for it. */
  readonly openingAgreed: boolean;
}

/** What the new parts come to less the discount and with their tax, smallest units. */
export function partsToPay({ partsMinor }: Pick<QuoteSum, "partsMinor">, { tax, discount }: Pick<PinnedRates, "tax" | "discount">): number {
  const net = partsMinor - shareOf(partsMinor, discount ?? 0);
  return net + taxOnNet(net, tax);
}

/** @param limitMinor up to which it may be opened; null where its price in the list is what was agreed. */
const isOpeningAgreed = ({ totalMinor }: QuoteSum, limitMinor: number | null): boolean => limitMinor === null || totalMinor <= limitMinor;

const isPartsOver = (sum: QuoteSum, rates: PinnedRates, limitMinor: number | null): boolean =>
  limitMinor !== null && partsToPay(sum, rates) > limitMinor;

/** A job as far as its price goes by it. */
export interface JobToQuote extends JobPath {
  readonly intake: {
    readonly complaints: readonly ComplaintId[];
    readonly callFor?: string;
    readonly pays?: WhoPays;
    readonly partsLimitMinor?: number | null;
    readonly openingLimitMinor?: number | null;
  };
  readonly rates: PinnedRates;
  /** Up to here nobody is asked; null when every quote is to be asked for. */
  readonly limitMinor: number | null;
  readonly declinedReason: string | null;
}

/** A new piece that a quote names, for its seat. */
export interface QuotedPart {
  readonly positionId: string;
  readonly partTypeId: string;
  readonly words: string;
  /** What it costs in its well, as it was agreed, or when the job was opened. */
  readonly priceMinor: number;
  /** Where it comes from, where that is not a bin. */
  readonly source: PieceSource | "donor" | null;
  readonly assemblyId: string | null;
  readonly seat: string;
  /** The fault that asks for it; null where somebody named it. */
  readonly foreseenBy: string | null;
  /** The kit it came in with. */
  readonly kit?: KitPart["kit"];
  /** The new piece lies in its well or sits in the reel. */
  readonly fitted?: 0 | 1;
}

/** How far a job opens its reel, for its price. */
export interface OpeningToQuote {
  /** Assemblies in all; those said to stay shut; those asked for. */
  readonly assemblies: number;
  readonly shut: number;
  readonly asked: number;
  /** Opened since the first part came off; null before. */
  readonly opened: number | null;
}

export interface QuoteFacts {
  readonly job: JobToQuote;
  /** Faults found and not let go; work that was not done, because the old piece went back, is not among them. */
  readonly faultIds: readonly string[];
  readonly parts: readonly QuotedPart[];
  readonly answers: readonly Answer[];
  readonly lines: readonly (ExtraLine & { readonly id: number })[];
  readonly opening: OpeningToQuote | null;
  /** Of a comeback: what our own work covers. */
  readonly cover: Cover | null;
  readonly faultOf: (id: string) => Fault | null | undefined;
  readonly remedyOf: (fault: Fault) => Remedy;
  /** What was done is charged: a reel that was not opened is not charged as if it were. */
  readonly billing: boolean;
}

/** Why a line of a comeback costs nothing. */
const oursWords = ({ pays }: Cover): string => (pays === "open" ? "not priced until it is clear who pays" : "our own work, free");

/** The work on the faults that were found. */
const remediesOf = ({ faultIds, faultOf, remedyOf, cover }: QuoteFacts): LabourLine[] =>
  faultIds.flatMap((faultId): LabourLine[] => {
    const fault = faultOf(faultId);
    if (!fault) return [];
    const { words, minutes } = remedyOf(fault);
    return coversFault(cover, fault)
      ? [{ words: `${words} (${oursWords(cover!)})`, minutes: 0, faultId, ours: true }]
      : [{ words, minutes, faultId }];
  });

/** The new pieces, each in words that say where it comes from. */
const newPieces = ({ parts, cover, faultOf }: QuoteFacts): (PartLine & Pick<KitPart, "positionId" | "kit">)[] =>
  parts.map(({ positionId, partTypeId, words: number, priceMinor, source, foreseenBy, kit = null }) => {
    const words = source === null ? number : `${number}, ${source === "donor" ? "used, from a donor" : pieceSources[source].said}`;
    const fault = foreseenBy === null ? null : (faultOf(foreseenBy) ?? null);
    return coversPart(cover, positionId, fault)
      ? { positionId, partTypeId, words: `${words} (${oursWords(cover!)})`, priceMinor: 0, quantity: 1, ours: true, kit }
      : { positionId, partTypeId, words, priceMinor, quantity: 1, kit };
  });

/** The lines of what the job came for, as far as the reel is opened. */
function serviceOf({ job, faultIds, parts, opening, billing }: QuoteFacts, faultMinutes: number): LabourLine[] {
  const asked = job.kind === "upgrade" ? new Set(parts.map(({ assemblyId }) => assemblyId)).size : (opening?.asked ?? 0);
  return serviceLines(
    {
      ...job,
      complaints: job.intake.complaints,
      asked,
      faults: faultIds.length,
      pays: job.intake.pays ?? "us",
      assemblies: opening?.assemblies ?? 0,
      shut: opening?.shut ?? 0,
      opened: opening?.opened ?? (billing ? 0 : null),
      faultMinutes,
      ratePerHourMinor: job.rates.ratePerHourMinor,
    },
    job.rates.prices ?? null,
  );
}

/** A job's quote as its faults and its new pieces stand now, with what the customer's word says of the sum. */
export function quoteOf(facts: QuoteFacts): Quote {
  const { job, faultIds, parts, answers, lines, cover } = facts;
  const { rates } = job;
  if (job.declinedReason !== null) {
    const sum = quoteSum([], [], rates);
    return {
      labour: [],
      parts: [],
      extras: [],
      sum,
      answers,
      consent: "within-limit",
      faults: faultIds.length,
      callFor: [],
      partsOver: false,
      openingAgreed: false,
    };
  }
  const remedies = remediesOf(facts);
  const service = serviceOf(
    facts,
    remedies.reduce((sum, { minutes }) => sum + minutes, 0),
  );
  // A check is billed as a check, whatever it found; a piece that went in by hand all the same is asked about like any other.
  const billed =
    job.kind === "purchase-check"
      ? { labour: service, parts: newPieces({ ...facts, parts: parts.filter(({ fitted }) => fitted === 1) }) }
      : { labour: [...service, ...remedies], parts: newPieces(facts) };
  const consumables = rates.prices?.consumablesMinor ?? 0;
  const ours = cover !== null && cover.pays !== "customer";
  const extras = [
    ...(consumables > 0 && opensReel(job) && !ours ? [{ id: 0, words: "Oil, grease and cleaner", priceMinor: consumables }] : []),
    ...lines,
  ];
  const sum = quoteSum(billed.labour, billed.parts, rates, extras);
  const callFor = calledFor(
    job.intake.callFor ?? "",
    parts.map(({ words, seat }) => ({ name: words, seat })),
  );
  const partsOver = isPartsOver(sum, rates, job.intake.partsLimitMinor ?? null);
  // A seized reel is opened for what was agreed for that; what it needs is asked about once it is known.
  const openingAgreed =
    job.depth === "opening" && isOpeningAgreed(quoteSum(service, [], rates, extras), job.intake.openingLimitMinor ?? null);
  const nothingFound = !faultIds.length && !parts.length && !lines.length;
  const limitMinor = openingAgreed && nothingFound ? Math.max(job.limitMinor ?? 0, sum.totalMinor) : job.limitMinor;
  const consent = consentFor(sum.totalMinor, limitMinor, answers, callFor.length > 0, partsOver);
  return { ...billed, extras, sum, answers, consent, faults: faultIds.length, callFor, partsOver, openingAgreed };
}

/** A piece that went in, and what it costs. */
export interface FittedPiece {
  readonly positionId: string;
  readonly partTypeId: string;
  readonly name: string;
  readonly priceMinor: number;
}

/** The pieces a job fitted, each at what the quote says of its seat: what was agreed is what is billed. */
export function piecesAsAgreed<P extends FittedPiece>(quote: Pick<Quote, "parts">, fitted: readonly P[]): P[] {
  const agreed = new Map(quote.parts.map(({ positionId, priceMinor }) => [positionId, priceMinor]));
  return fitted.map((part) => ({ ...part, priceMinor: agreed.get(part.positionId) ?? part.priceMinor }));
}

/**
 * The bill: the work that was found, and only the pieces that were really fitted. Never above the quote, whose parts include them.
 * @param fitted as agreed. @param measuredMinutes minutes at the stations, of a job that is billed by the clock where that is less; null otherwise.
 */
export function billOf(
  { labour: quoted, extras }: Pick<Quote, "labour" | "extras">,
  rates: PinnedRates,
  fitted: readonly FittedPiece[],
  measuredMinutes: number | null,
): Pick<Quote, "labour" | "extras" | "sum"> {
  const labour = measuredMinutes === null ? quoted : byTheClock(quoted, measuredMinutes);
  const parts = fitted.map(({ partTypeId, name, priceMinor }) => ({ partTypeId, words: name, quantity: 1, priceMinor }));
  return { labour, extras, sum: quoteSum(labour, parts, rates, extras) };
}

/** What it would cost to put right what a check found: the faults' work and the new pieces. @param quote as of a repair. */
export const sumToPutRight = ({ labour, parts }: Pick<Quote, "labour" | "parts">, rates: PinnedRates): QuoteSum =>
  quoteSum(
    labour.filter(({ faultId }) => faultId !== undefined),
    parts,
    rates,
  );

/**
 * What could be done with the reel, each with its sum: sent back as it is, the quote as it stands, and with better parts on top.
 * @param better what would go in.
 */
export function optionsOf(
  quote: Quote,
  rates: PinnedRates,
  better: readonly { readonly partTypeId: string; readonly priceMinor: number }[],
): { readonly words: string; readonly totalMinor: number }[] {
  const upgraded = quoteSum(
    quote.labour,
    [...quote.parts, ...better.map((part) => ({ ...part, words: "", quantity: 1 }))],
    rates,
    quote.extras,
  );
  return [
    { words: "As it is: sent back, nothing done", totalMinor: 0 },
    { words: "As quoted", totalMinor: quote.sum.totalMinor },
    ...(better.length
      ? [{ words: `As quoted, with better bearings and drag (${better.length} new)`, totalMinor: upgraded.totalMinor }]
      : []),
  ];
}

/** Why the work may not go on as it is quoted, with the words for whoever would go on; null where it may. */
export function withoutConsent(
  { consent, sum, callFor, partsOver }: Pick<Quote, "consent" | "sum" | "callFor" | "partsOver">,
  currency: string,
): { readonly code: "ask-first" | "call-first" | "refused"; readonly words: string } | null {
  if (mayGoOn(consent)) return null;
  const named = callFor.join(", ");
  if (consent === "ask")
    return {
      code: "ask-first",
      words: `${
        partsOver
          ? `The new parts, ${formatMinor(sum.partsMinor)} ${currency} before tax, are above the limit for parts.`
          : `The quote of ${formatMinor(sum.totalMinor)} ${currency} is above the spending limit.`
      } Ask the customer at Quote first.${named ? ` They also want a call before this is replaced: ${named}.` : ""}`,
    };
  if (consent === "call")
    return { code: "call-first", words: `The customer wants a call before this is replaced: ${named}. Call at Quote first.` };
  return { code: "refused", words: "The customer said no to this sum. Remove work or parts at Quote, or return the reel as it is." };
}
