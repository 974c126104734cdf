import { cleanMethods } from "@/core/cleaning/methods";
import { groupBy } from "@/core/group-by";
import { classOfProduct, isReelProduct } from "@/core/lubrication/products";
import { openedForWords } from "@/core/service/depth";
import { feels } from "@/core/teardown/feel";
import { wantsNew } from "@/core/teardown/verdicts";
import { asItIsReasons } from "@/core/vocabulary/as-it-is";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import { cleanOutcomes } from "@/core/vocabulary/clean-outcomes";
import { faultOutcomes } from "@/core/vocabulary/fault-outcomes";
import { leftDryReasons } from "@/core/vocabulary/left-dry";
import type { Account, FaultAccount, PieceAccount, TestAccount } from "./account";
import { countedNames, lowered } from "./counted-names";
import type { Act } from "./job-acts";

/** Where a sentence stands on a paper. */
export type Section = "found" | "done" | "seals" | "oil" | "checks" | "watch";

/** Something that is said of a job, with the acts that bear it out. */
export interface Sentence {
  readonly section: Section;
  readonly words: string;
  readonly acts: readonly Act[];
}

const listed = (names: readonly string[]): string => countedNames(names).join(", ");
const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

function foundWords({ name, became, outcome, reason, remedy, minutes, renews, renewed }: FaultAccount): string {
  const took = minutes ? ` (${minutes} min)` : "";
  switch (became) {
    case "put-right":
      if (renewed.length) return `${name}: repaired${took}. New: ${listed(renewed)}.`;
      return renews ? `${name}: repaired without new parts${took}.` : `${name}: repaired${took}: ${lowered(remedy)}.`;
    case "to-put-right":
      return `${name}. To do: ${lowered(remedy)}${took}.`;
    case "old-back":
      return `${name}: not replaced, the old one was refitted: ${reason}.`;
    case "left":
      return outcome ? `${name}: ${faultOutcomes[outcome].said}.` : `${name}: found, not repaired.`;
    case "open":
      return `${name}: found, not repaired.`;
  }
}

const readingWords = ({ name, before }: TestAccount): string => `${name}${before?.reading ? ` (${before.reading})` : ""}`;

/** What was found: faults, looks, and what the tests before the work said where no fault was named. */
function found({ faults, seen, notFound, tests, pieces, notDrawn }: Account): Sentence[] {
  const sentences: Sentence[] = faults.map((fault) => ({ section: "found", words: foundWords(fault), acts: fault.acts }));
  if (seen.length)
    sentences.push({
      section: "found",
      words: `Seen: ${seen.map(({ name }) => lowered(name)).join("; ")}.`,
      acts: seen.map(({ act }) => act),
    });
  const before = tests.filter((test) => test.before !== null);
  const acts = before.map((test) => test.before!.act);
  const off = before.filter((test) => test.before!.verdict !== "good");
  const bad = off.filter((test) => test.before!.verdict === "bad");
  const odd = pieces.filter(({ verdict }) => verdict !== null && verdict !== "ok" && verdict !== "dressed");
  if (!faults.length && bad.length)
    sentences.push({
      section: "found",
      words: `Faulty on arrival: ${bad.map(readingWords).join(", ")}. No single cause was identified.`,
      acts: bad.map((test) => test.before!.act),
    });
  if (!faults.length && !seen.length && before.length && !off.length && !odd.length && !notDrawn.length)
    sentences.push({ section: "found", words: "No fault found: every test was good on arrival.", acts });
  if (notFound.length)
    sentences.push({
      section: "found",
      words: `Checked and ruled out: ${notFound.map(({ name }) => lowered(name)).join("; ")}.`,
      acts: notFound.map(({ act }) => act),
    });
  return sentences;
}

/** Which assemblies were opened, how far and why; why only where a person or a rule said it. */
function opened({ assemblies, declined }: Account): Sentence[] {
  const say = (words: string, of: readonly Account["assemblies"][number][]): Sentence => ({
    section: "done",
    words,
    acts: [...new Set(of.flatMap(({ acts }) => acts))],
  });
  const apart = assemblies.filter(({ became }) => became === "taken-apart");
  const came = assemblies.filter(({ became }) => became === "came-apart");
  const part = assemblies.filter(({ became }) => became === "part-way");
  const shut = assemblies.filter(({ became, onPurpose }) => became === "left-shut" && !onPurpose);
  const keptShut = assemblies.filter(({ became, onPurpose }) => became === "left-shut" && onPurpose);
  const anyOpen = apart.length + came.length + part.length > 0;
  const because = (why: (typeof assemblies)[number]["why"]) => (why === null || why === "service" ? "" : ` ${openedForWords[why]}`);
  return [
    ...(came.length ? [say(`Arrived in pieces: ${came.map(({ name }) => lowered(name)).join(", ")}.`, came)] : []),
    ...[...groupBy(apart, ({ why }) => because(why))].map(([why, own]) =>
      say(`Taken apart${why}: ${own.map(({ name }) => lowered(name)).join("; ")}.`, own),
    ),
    ...part.map((one) => say(`${one.name}, opened in part${because(one.why)}${one.off.length ? `: ${listed(one.off)} off` : ""}.`, [one])),
    ...(anyOpen && shut.length ? [say(`Not opened: ${shut.map(({ name }) => lowered(name)).join("; ")}.`, shut)] : []),
    ...(keptShut.length && declined === null
      ? [say(`Left closed on purpose: ${keptShut.map(({ name }) => lowered(name)).join("; ")}.`, keptShut)]
      : []),
  ];
}

/** Parts that did not simply come clean, by what stays of it, and those that nobody cleaned. */
const cleanedSo = ({ cleanedSo: own, notCleaned }: Account): Sentence[] => {
  const say = (words: string, of: readonly { readonly name: string; readonly act: Act }[]): Sentence => ({
    section: "done",
    words: `${words}: ${listed(of.map(({ name }) => name))}.`,
    acts: of.map(({ act }) => act),
  });
  return [
    ...[...groupBy(own, ({ outcome }) => outcome)].map(([outcome, same]) => say(capital(cleanOutcomes[outcome].said), same)),
    ...(notCleaned.length ? [say("Refitted uncleaned", notCleaned)] : []),
  ];
};

/** What a hand felt of parts as they went in: what was good beside the checks, what was not among what is to be watched. */
const felt = ({ felt: own }: Account, section: "checks" | "watch"): Sentence[] =>
  [...groupBy(own, ({ feel }) => feel)].flatMap(([feel, same]): Sentence[] =>
    feels[feel].good === (section === "checks")
      ? [
          {
            section,
            words: `${capital(feels[feel].said)} as fitted: ${listed(same.map(({ name }) => name))}.`,
            acts: same.map(({ act }) => act),
          },
        ]
      : [],
  );

function cleaned(pieces: readonly PieceAccount[]): Sentence[] {
  const washed = pieces.filter((piece) => piece.cleaned !== null);
  if (!washed.length) return [];
  const ways = [...groupBy(washed, (piece) => piece.cleaned as CleanMethod)].sort((a, b) => b[1].length - a[1].length);
  return [
    {
      section: "done",
      words: `Cleaned: ${ways.map(([way, own]) => `${cleanMethods[way].done} (${own.length})`).join(", ")}.`,
      acts: washed.flatMap(({ acts }) => acts),
    },
  ];
}

/** The sum of the tray: how many came off, went back, are new, stay out. */
function traySum(pieces: readonly PieceAccount[]): Sentence[] {
  const off = pieces.filter(({ verdict, became }) => verdict !== null && became !== "not-there");
  if (!off.length) return [];
  const count = (became: PieceAccount["became"]) => off.filter((piece) => piece.became === became).length;
  const parts = [
    [count("back"), "refitted"],
    [count("replaced"), "replaced with new"],
    [count("left-out"), "left out"],
    [count("in-the-tray"), "still in the tray"],
  ].flatMap(([many, words]) => (many ? [`${many} ${words}`] : []));
  return [
    {
      section: "done",
      words: `${off.length} ${off.length === 1 ? "part" : "parts"} off: ${parts.join(", ")}.`,
      acts: off.flatMap(({ acts }) => acts),
    },
  ];
}

/** What lay otherwise than it should, and what was done by hand. */
function byPiece({ pieces, notDrawn, noted, wished }: Account): Sentence[] {
  const one = (piece: PieceAccount, words: string): Sentence => ({ section: "done", words: `${piece.name}: ${words}.`, acts: piece.acts });
  return [
    ...pieces.filter(({ dressed }) => dressed).map((piece) => one(piece, `${piece.dressed}${piece.became === "back" ? ", put back" : ""}`)),
    ...[
      ...groupBy(
        pieces.filter(({ became }) => became === "served-in-place"),
        ({ reason }) => reason,
      ),
    ].map(
      ([reason, own]): Sentence => ({
        section: "done",
        words: `${reason ? "Serviced in place" : "Left in"}: ${listed(own.map(({ name }) => name))}${reason ? ` (${reason})` : ""}.`,
        acts: own.flatMap(({ acts }) => acts),
      }),
    ),
    ...pieces.flatMap((piece) => {
      const { verdict, found: many, wrongHole, became } = piece;
      return [
        ...(verdict === "missing"
          ? [
              one(
                piece,
                `not there on arrival${became === "replaced" ? ", new one fitted" : became === "not-there" && piece.reason ? `, left off: ${piece.reason}` : ""}`,
              ),
            ]
          : []),
        ...(verdict === "replace" && piece.remark && became !== "back"
          ? [one(piece, `${piece.remark}${became === "replaced" ? ", new one fitted" : ""}`)]
          : []),
        ...(verdict === "wrong" ? [one(piece, `wrong for this reel${became === "back" ? ", refitted anyway" : ""}`)] : []),
        ...(many > 1 && verdict !== null && verdict !== "missing" ? [one(piece, `${many} found`)] : []),
        ...(wrongHole ? [one(piece, `found in ${wrongHole.was}, belongs in ${wrongHole.own}`)] : []),
      ];
    }),
    ...[
      ...groupBy(notDrawn, ({ words, state }) => `${words}${state === "left-out" ? ", left out" : state === "back" ? ", put back" : ""}`),
    ].map(
      ([words, same]): Sentence => ({
        section: "done",
        words: `Not on the drawing: ${words}${same.length > 1 ? ` (${same.length} of them)` : ""}.`,
        acts: same.map(({ act }) => act),
      }),
    ),
    ...[...groupBy(wished, ({ words }) => words)].map(
      ([words, same]): Sentence => ({ section: "done", words: `As the customer wished: ${words}.`, acts: same.map(({ act }) => act) }),
    ),
    ...[...groupBy(noted, ({ words }) => words)].map(
      ([words, same]): Sentence => ({ section: "done", words: `${words}.`, acts: same.map(({ act }) => act) }),
    ),
  ];
}

const sealWords = { renewed: "renewed", "opened-and-kept": "opened and kept", unbroken: "left unbroken" } as const;
function seals({ seals: own }: Account): Sentence[] {
  return [...groupBy(own, ({ became }) => became)].map(([became, same]) => ({
    section: "seals",
    words: `Seals ${sealWords[became]}: ${listed(same.map(({ name }) => name))}.`,
    acts: [...new Set(same.flatMap(({ acts }) => acts))],
  }));
}

function oil({ products, dry, unoiled }: Account): Sentence[] {
  const keptDry: Sentence[] = dry.length
    ? [{ section: "oil", words: `Left dry on purpose: ${listed(dry.map(({ name }) => name))}.`, acts: dry.map(({ act }) => act) }]
    : [];
  const gave = products.map(({ product, drops, places, acts }) => {
    const runs = isReelProduct(product) && classOfProduct(product) !== "grease" && drops > 0;
    const sits = listed(places.flatMap(({ name, whereItSits }) => (whereItSits ? [name] : [])));
    const fitted = listed(places.flatMap(({ name, whereItSits }) => (whereItSits ? [] : [name])));
    const where = [fitted, sits && `in place: ${sits}`].filter(Boolean).join("; ");
    return {
      section: "oil" as const,
      words: `${capital(product)}${runs ? `, ${drops} drop${drops === 1 ? "" : "s"}` : ""}: ${where}.`,
      acts,
    };
  });
  const without = [...groupBy(unoiled, ({ why }) => why)].map(([why, own]) => ({
    section: "oil" as const,
    words: `Left without oil${why ? `, ${leftDryReasons[why]}` : ""}: ${listed(own.map(({ name }) => name))}.`,
    acts: own.map(({ act }) => act),
  }));
  return [...gave, ...keptDry, ...without];
}

function checks({ checks: passed }: Account): Sentence[] {
  if (!passed.length) return [];
  return [
    {
      section: "checks",
      words: `Checks passed (${passed.length}): ${passed.map(({ words }) => words).join("; ")}.`,
      acts: passed.map(({ act }) => act),
    },
  ];
}

const watchWords: Readonly<Partial<Record<NonNullable<PieceAccount["verdict"]>, string>>> = {
  watch: "watch it",
  worn: "worn, refitted",
};
const wantsNewWords = (declined: boolean): string =>
  declined ? "needs replacing; the customer declined, the old one was refitted" : "needs replacing; the old one was refitted";
/** Pieces that went back though somebody would rather not. */
function watch({ pieces, asItIs }: Account): Sentence[] {
  const goesSo = asItIs.map(
    ({ name, reason, act }): Sentence => ({ section: "watch", words: `${name} is bad: ${asItIsReasons[reason]}.`, acts: [act] }),
  );
  const worn = pieces.flatMap((piece): Sentence[] => {
    const { verdict, became, name, remark, declined, acts } = piece;
    if (verdict === null || became !== "back") return [];
    const words = watchWords[verdict] ?? (wantsNew(verdict) && verdict !== "wrong" ? wantsNewWords(declined) : "");
    return words ? [{ section: "watch", words: `${name}: ${remark || words}.`, acts }] : [];
  });
  return [...goesSo, ...worn];
}

/** Everything that is said of a job beside its tests, papers and price, in the order a paper says it. Each names the acts that bear it out. */
export const tell = (account: Account): Sentence[] =>
  [
    ...found(account),
    ...opened(account),
    ...cleaned(account.pieces),
    ...cleanedSo(account),
    ...traySum(account.pieces),
    ...byPiece(account),
    ...seals(account),
    ...oil(account),
    ...checks(account),
    ...felt(account, "checks"),
    ...felt(account, "watch"),
    ...watch(account),
  ].filter(({ acts }) => acts.length > 0);

/** Those of a section, in words. */
export const saying = (sentences: readonly Sentence[], ...sections: readonly Section[]): string[] =>
  sentences.flatMap(({ section, words }) => (sections.includes(section) ? [words] : []));
