import type { UseFactor } from "@/core/vocabulary/use";

/**
 * What a reel has been through and nobody saw: each raises its own faults, so that faults of one reel are not independent, and two words for one
 * life are not counted twice. Source: common practice; the figures are rules of thumb.
 */
export const historyIds = ["water", "neglect", "hands"] as const;
export type HistoryId = (typeof historyIds)[number];

export const historyWords: Readonly<Record<HistoryId, string>> = {
  water: "water or salt got in",
  neglect: "long neglect",
  hands: "opened by someone inexperienced",
};

/** Which history a word about the use tells of; hard use is known when it is told, and hides nothing. */
export const historyOfUse: Readonly<Partial<Record<UseFactor, HistoryId>>> = {
  salt: "water",
  kayak: "water",
  stored: "neglect",
  old: "neglect",
  opened: "hands",
  "second-hand": "hands",
};

/** How likely a history is when a word tells of it; without any, this much. Words of one history say it once more, not twice. */
const unsaid = 0.1;
const told: Readonly<Partial<Record<UseFactor, number>>> = {
  salt: 0.35,
  kayak: 0.75,
  stored: 0.75,
  old: 0.55,
  opened: 0.75,
  "second-hand": 0.4,
};
/** Of what one word left open, a second word about the same life closes this share. */
const secondWord = 0.25;

/** How likely each history is by how the reel was used. */
export function historyPriors(use: readonly UseFactor[]): Readonly<Record<HistoryId, number>> {
  const of = (id: HistoryId) => {
    const words = [...new Set(use)].filter((factor) => historyOfUse[factor] === id).map((factor) => told[factor]!);
    if (!words.length) return unsaid;
    const most = Math.max(...words);
    return words.length === 1 ? most : most + (1 - most) * secondWord;
  };
  return { water: of("water"), neglect: of("neglect"), hands: of("hands") };
}

export interface HistoryState {
  readonly there: ReadonlySet<HistoryId>;
  readonly weight: number;
}

/** Every combination of the histories with its probability before anything was seen; the weights add up to 1. */
export function historyStates(use: readonly UseFactor[]): HistoryState[] {
  const priors = historyPriors(use);
  return Array.from({ length: 1 << historyIds.length }, (_, mask) => {
    const present = historyIds.filter((_id, bit) => mask & (1 << bit));
    const weight = historyIds.reduce((product, id) => product * (present.includes(id) ? priors[id] : 1 - priors[id]), 1);
    return { there: new Set(present), weight };
  });
}

/**
 * How a history moves a fault's odds, when a word that surely tells of it is to make the fault `factor` times as likely and no word leaves it as it
 * is: with the history there and without it.
 */
export function historyOdds(factor: number): { readonly there: number; readonly absent: number } {
  const sure = 0.75;
  const times = ((1 - unsaid) * factor - (1 - sure)) / (sure - unsaid * factor);
  const absent = 1 / (1 - unsaid + unsaid * times);
  return { there: times * absent, absent };
}
