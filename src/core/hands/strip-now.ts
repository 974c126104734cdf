import { actFrom, nextStripAct, type StripAct, type StripGuide } from "./strip-acts";

/** What the hands have before them at Strip. */
export interface AtStrip {
  readonly guide: StripGuide;
  /** What lies in the tray. */
  readonly off: ReadonlySet<string>;
  /** A part chosen by hand; alone: without what its hand would take along. */
  readonly picked: { readonly positionId: string; readonly alone: boolean } | null;
  readonly lastAssemblyId: string | null;
  /** The assembly somebody wants to begin with. */
  readonly towardsAssemblyId: string | null;
  /** The owner said yes to opening it, or need not be asked. */
  readonly mayStrip: boolean;
  /** Something is opened on this job. */
  readonly anyOpened: boolean;
  /** Every test is answered: what asks for nothing now will ask for nothing by another test. */
  readonly tested: boolean;
}

/** What the main key of Strip does now. */
export type StripKey =
  | { readonly what: "take"; readonly act: StripAct }
  /** Nothing was felt, tested or asked for: a person says what is opened. */
  | { readonly what: "choose-what-to-open" }
  /** Everything was felt and tested, and nothing asks to be opened. */
  | { readonly what: "nothing-to-open" }
  | { readonly what: "to-clean" }
  | { readonly what: "ask-first" };

export interface StripNow {
  /** What would come off next; null where nothing is left. */
  readonly act: StripAct | null;
  readonly key: StripKey;
}

/** What comes off next, and what the main key does. */
export function stripNow(at: AtStrip): StripNow {
  const { guide, off, picked, lastAssemblyId, towardsAssemblyId } = at;
  const act =
    picked && !off.has(picked.positionId)
      ? picked.alone
        ? { positionIds: [picked.positionId], batch: null }
        : actFrom(guide, picked.positionId, off)
      : nextStripAct(guide, off, { lastAssemblyId, towardsAssemblyId });
  if (!at.mayStrip) return { act, key: { what: "ask-first" } };
  if (act) return { act, key: { what: "take", act } };
  return { act, key: { what: off.size || at.anyOpened ? "to-clean" : at.tested ? "nothing-to-open" : "choose-what-to-open" } };
}

/** Whether an act takes the last of what was to come off: the hands turn to cleaning then. */
export function isLastOff({ expected }: Pick<StripGuide, "expected">, off: ReadonlySet<string>, taken: readonly string[]): boolean {
  const gone = new Set([...off, ...taken]);
  return expected.some((id) => taken.includes(id)) && expected.every((id) => gone.has(id));
}
