import type { Anatomy, Operation, PartType } from "@/core/anatomy/types";
import { buildOrder } from "@/core/teardown/build-order";
import { removalOrder } from "@/core/teardown/removal-order";
import { type Check, checksOf } from "./checks";
import { type Cover, leastCover, type Solver } from "./least-cover";
import { type Mistake, singleMistakes } from "./mistakes";

export interface BlindSpots {
  readonly mistakes: readonly Mistake[];
  /** Single mistakes that pass every gate: the shortest wrong builds there are. */
  readonly passing: readonly Mistake[];
  /** Checks that would show some of them, the most for its time first. */
  readonly offers: readonly (Check & { readonly shows: readonly Mistake[] })[];
  /** The first of these; null where none would show one. */
  readonly cheapest: (Check & { readonly shows: readonly Mistake[] }) | null;
  /** Checks, gates among them, that show every mistake in the least time. */
  readonly cover: Cover;
}

interface Seen {
  readonly mistakes: readonly Mistake[];
  readonly checks: readonly Check[];
  readonly passing: readonly Mistake[];
  readonly offers: readonly (Check & { readonly shows: readonly Mistake[] })[];
}

function lookAt(anatomy: Anatomy, types: ReadonlyMap<string, PartType>): Seen | null {
  const built = buildOrder(anatomy, removalOrder(anatomy));
  if (!built.ok) return null;
  const mistakes = singleMistakes(anatomy, types);
  const checks = checksOf(
    anatomy,
    built.value.steps.map(({ operation }) => operation.id),
    mistakes,
  );
  const seen = new Set(checks.filter(({ gate }) => gate).flatMap(({ catches }) => [...catches]));
  const passing = mistakes.filter(({ id }) => !seen.has(id));
  const offers = checks
    .filter(({ gate }) => !gate)
    .map((check) => ({ ...check, shows: passing.filter(({ id }) => check.catches.has(id)) }))
    .filter(({ shows }) => shows.length > 0)
    .sort((a, b) => b.shows.length / b.minutes - a.shows.length / a.minutes || (a.id < b.id ? -1 : 1));
  return { mistakes, checks, passing, offers };
}

/** What a machine's gates do not see. @returns null for a machine whose operations wait for each other in a circle. */
export function blindSpots(solver: Solver, anatomy: Anatomy, types: ReadonlyMap<string, PartType>): BlindSpots | null {
  const seen = lookAt(anatomy, types);
  if (!seen) return null;
  const { mistakes, checks, passing, offers } = seen;
  return {
    mistakes,
    passing,
    offers,
    cheapest: offers[0] ?? null,
    cover: leastCover(
      solver,
      checks,
      mistakes.map(({ id }) => id),
    ),
  };
}

/** The gate that takes an offered check over, with what it shows to look at; null where it would show nothing new. */
export function gateFor(
  anatomy: Anatomy,
  types: ReadonlyMap<string, PartType>,
  checkId: string,
): Pick<Operation, "words" | "after" | "lookAt" | "counts"> | null {
  const offer = lookAt(anatomy, types)?.offers.find(({ id }) => id === checkId);
  return offer
    ? {
        words: offer.words,
        after: [offer.after],
        lookAt: offer.shows.map(({ kind, seats, words }) => ({ words: words.slice(0, 160), seats: [...seats], shows: [kind] })),
        ...(offer.counts ? { counts: [...offer.counts] } : {}),
      }
    : null;
}
