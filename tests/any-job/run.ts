import type { Refusal } from "@/data/database/context";
import { getQuote } from "@/data/quote/quotes";
import { byHand, money, stores } from "./by-hand";
import type { Bench, Press } from "./job";
import { openBench } from "./job";
import { cheapLaws, paperLaws } from "./laws";
import { answered, goesHome, offeredAt, pages } from "./offered";
import { differs, everything, undoOf } from "./undo";

export interface Finding {
  readonly seed: number;
  readonly about: string;
  readonly law: string;
  readonly words: string;
  readonly presses: readonly Press[];
}

/** Refusals that ask for one thing more, on the same page. */
const asks = new Set(["old-piece", "buries", "waits-for-part", "quote", "limit", "consent", "opening", "call-for", "parts-over", "short"]);

function check(bench: Bench, laws: typeof cheapLaws, after: string): { law: string; words: string } | null {
  for (const [law, broken] of Object.entries(laws)) {
    const [words] = broken(bench);
    if (words !== undefined) return { law, words: `after ${after}: ${words}` };
  }
  return null;
}

/** A program that is broken on purpose: what it does to a press, and to what became of it. */
export type Broken = (press: Press, refused: Refusal | null, bench: Bench) => Refusal | null;

/** One job of chance from the counter to its owner. @param broken a fault planted on purpose. @returns what broke; null where all laws held. */
export function anyJob(seed: number, broken?: Broken): Finding | null {
  const sound = openBench(seed);
  const bench: Bench = broken ? { ...sound, press: (press) => broken(press, sound.press(press), sound) } : sound;
  const { chance } = bench;
  const found = (law: string, words: string): Finding => ({ seed, about: bench.about, law, words, presses: bench.done });
  // How much of this job goes as the pages offer it.
  const orderly = chance.one([0.35, 0.7, 0.9, 1]);
  let page = 0;
  try {
    const first = check(bench, { ...cheapLaws, ...paperLaws }, "opening");
    if (first) return found(first.law, first.words);
    for (let n = 0; n < 160 && bench.job().closedAt === null; n++) {
      let press: Press | null = null;
      if (chance.yes(0.05)) press = stores(bench);
      if (press !== null) bench.press(press);
      else if (chance.yes(orderly)) {
        // From page to page as they offer something; the page is left once it offers nothing, or by whim.
        while (page < pages.length && press === null) {
          press = offeredAt(pages[page]!, bench);
          if (press === null || chance.yes(0.03)) page++;
        }
        if (press === null) break;
        const sum = () => getQuote(bench.shop.db, bench.job()).sum.totalMinor;
        const quoted = press[0] === "take-parts" ? sum() : null;
        const refused = bench.press(press);
        if (quoted !== null && !refused && sum() > quoted)
          return found("opening as it was quoted costs no more", `${JSON.stringify(press)}: ${quoted} became ${sum()}`);
        if (refused) {
          const further = answered(press, refused.code, bench);
          const taken = further.some((one) => bench.press(one) === null);
          // Somewhere else the way goes on; here it has to be one of what a page asks for.
          if (!taken && !refused.way && !asks.has(refused.code))
            return found(
              "what a main key offers is taken",
              `${pages[page]} offers ${JSON.stringify(press)}: ${refused.code} ${refused.message}`,
            );
          if (!taken) page++;
        }
      } else {
        press = byHand(bench);
        const before = chance.yes(0.5) ? everything(bench) : null;
        const refused = bench.press(press);
        if (before && refused) {
          const [changed] = differs(before, everything(bench));
          if (changed) return found("a refused press changes nothing", `${JSON.stringify(press)}: ${changed}`);
        }
        const back = before && !refused ? undoOf(press, bench, before) : null;
        if (before && back && bench.press(back) === null) {
          const [left] = differs(before, everything(bench));
          if (left) return found("undo brings back every table", `${JSON.stringify(press)}, then ${JSON.stringify(back)}: ${left}`);
        }
        if (chance.yes(0.25)) page = Math.floor(chance.number() * pages.length);
      }
      const broken = check(bench, chance.yes(0.05) ? { ...cheapLaws, ...paperLaws } : cheapLaws, JSON.stringify(press));
      if (broken) return found(broken.law, broken.words);
    }
    const papers = check(bench, paperLaws, "the work");
    if (papers) return found(papers.law, papers.words);
    goesHome(bench);
    for (let n = 0; n < 4; n++) {
      const press = money(bench);
      if (press) bench.press(press);
      const broken = check(bench, cheapLaws, JSON.stringify(press));
      if (broken) return found(broken.law, broken.words);
    }
    const last = check(bench, { ...cheapLaws, ...paperLaws }, "its return");
    return last ? found(last.law, last.words) : null;
  } catch (error) {
    return found(
      "nothing fails",
      error instanceof Error ? `${error.message}\n${error.stack?.split("\n").slice(1, 6).join("\n")}` : String(error),
    );
  }
}

/**
 * The fewest of a finding's presses that still break its law, tried by leaving some out, at most so many times. @returns those presses; all of them where
 * the law breaks only on the way.
 */
export function shrunk({ seed, law, presses }: Finding, mostTries = 80): readonly Press[] {
  const breaks = (some: readonly Press[]): boolean => {
    const bench = openBench(seed);
    try {
      for (const press of some) {
        bench.press(press);
        if (check(bench, { ...cheapLaws, ...paperLaws }, "")?.law === law) return true;
      }
      return false;
    } catch {
      return law === "nothing fails";
    }
  };
  if (!breaks(presses)) return presses;
  let [kept, tries] = [[...presses], 0];
  for (let size = Math.ceil(kept.length / 2); size >= 1; size = Math.floor(size / 2))
    for (let at = 0; at < kept.length && tries < mostTries; tries++) {
      const fewer = [...kept.slice(0, at), ...kept.slice(at + size)];
      if (breaks(fewer)) kept = fewer;
      else at += size;
    }
  return kept;
}
