import { groupBy } from "@/core/group-by";
import type { OpenedFor } from "@/core/service/depth";
import type { Feel } from "@/core/teardown/feel";
import { wantsNew } from "@/core/teardown/verdicts";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import type { CleanOutcome } from "@/core/vocabulary/clean-outcomes";
import type { FaultOutcome } from "@/core/vocabulary/fault-outcomes";
import type { LeftDryReason } from "@/core/vocabulary/left-dry";
import type { Act, JobActs } from "./job-acts";

/** What became of an assembly; nobody opened one that is left shut. */
export interface AssemblyAccount {
  readonly id: string;
  readonly name: string;
  readonly became: "left-shut" | "part-way" | "taken-apart" | "came-apart";
  /** Where a person or a rule said why; never guessed. */
  readonly why: OpenedFor | null;
  /** Somebody said that it stays shut. */
  readonly onPurpose: boolean;
  /** Names of what came off it. */
  readonly off: readonly string[];
  readonly acts: readonly Act[];
}

/** What became of a piece: the one in a seat when the reel came. */
export interface PieceAccount {
  readonly positionId: string;
  readonly name: string;
  readonly assemblyId: string;
  readonly became: "back" | "replaced" | "left-out" | "not-there" | "served-in-place" | "in-the-tray";
  /** What was seen of it; nothing of one that stayed in. */
  readonly verdict: JobActs["off"][number]["verdict"] | null;
  readonly cleaned: CleanMethod | null;
  /** How it was worked on by hand; empty when it was not. */
  readonly dressed: string;
  /** The new piece, with its size and where it came from; empty when there is none. */
  readonly by: string;
  /** Why it stays out or in, in the words of whoever said so. */
  readonly reason: string;
  readonly remark: string;
  /** The customer said no to a new one. */
  readonly declined: boolean;
  readonly found: number;
  /** The hole it sat in, where that is not its own; empty where it was right. */
  readonly wrongHole: { readonly was: string; readonly own: string } | null;
  readonly acts: readonly Act[];
}

/** Where a product went. */
export interface ProductAccount {
  readonly product: string;
  /** Drops of what runs; 0 of a grease. */
  readonly drops: number;
  readonly places: readonly { readonly positionId: string; readonly name: string; readonly whereItSits: boolean }[];
  readonly acts: readonly Act[];
}

export interface SealAccount {
  readonly name: string;
  /** A unit sealed with fluid that was lifted whole or never reached is unbroken. */
  readonly became: "unbroken" | "opened-and-kept" | "renewed";
  readonly unit: boolean;
  readonly acts: readonly Act[];
}

export interface TestAccount {
  readonly id: JobActs["tests"][number]["id"];
  readonly name: string;
  readonly before: JobActs["tests"][number] | null;
  readonly after: JobActs["tests"][number] | null;
}

export interface FaultAccount {
  readonly id: string;
  readonly name: string;
  /** Put right by acts that reached its parts; to put right where the job was only a check; else it leaves with the reel, or is still open. */
  readonly became: "put-right" | "to-put-right" | "old-back" | "left" | "open";
  readonly outcome: FaultOutcome | null;
  readonly reason: string;
  readonly remedy: string;
  readonly minutes: number;
  /** New pieces its remedy asked for, by the seat's name. */
  readonly renewed: readonly string[];
  /** Whether its remedy renews parts at all. */
  readonly renews: boolean;
  readonly acts: readonly Act[];
}

/** What became of everything on a job, from its acts alone. */
export interface Account {
  readonly kind: JobActs["kind"];
  readonly declined: string | null;
  readonly assemblies: readonly AssemblyAccount[];
  readonly pieces: readonly PieceAccount[];
  readonly products: readonly ProductAccount[];
  readonly seals: readonly SealAccount[];
  readonly tests: readonly TestAccount[];
  readonly faults: readonly FaultAccount[];
  readonly asItIs: JobActs["asItIs"];
  readonly notDrawn: JobActs["notDrawn"];
  readonly checks: JobActs["checks"];
  readonly noted: JobActs["noted"];
  readonly wished: JobActs["wished"];
  /** Left dry on purpose; how a part came out of its cleaning; how it felt as it went in. */
  readonly dry: readonly { readonly name: string; readonly act: Act }[];
  /** Places that may be oiled and were left out, with the reason where there is one. */
  readonly unoiled: readonly { readonly name: string; readonly why: LeftDryReason | null; readonly act: Act }[];
  readonly cleanedSo: readonly { readonly name: string; readonly outcome: CleanOutcome; readonly act: Act }[];
  /** What went back as it was found while the rest was cleaned. */
  readonly notCleaned: readonly { readonly name: string; readonly act: Act }[];
  readonly felt: readonly { readonly name: string; readonly feel: Feel; readonly act: Act }[];
  /** Looked for and not so: faults ruled out, looks answered no. */
  readonly notFound: readonly { readonly name: string; readonly act: Act }[];
  readonly seen: readonly { readonly name: string; readonly act: Act }[];
}

function assembliesOf(acts: JobActs): AssemblyAccount[] {
  const seats = groupBy(acts.seats, ({ assemblyId }) => assemblyId);
  const off = new Map(acts.off.map((one) => [one.positionId, one]));
  const opened = new Map(acts.opened.map((one) => [one.assemblyId, one]));
  const emptied = new Map(acts.emptied.map(({ positionId, why }) => [positionId, why]));
  const keptShut = new Map(acts.keptShut.map((one) => [one.assemblyId, one]));
  return acts.assemblies.map(({ id, name }): AssemblyAccount => {
    const own = seats.get(id) ?? [];
    const came = own.flatMap((seat) => off.get(seat.id) ?? []);
    const said = keptShut.get(id);
    if (!came.length) {
      // Nothing came off it: that stands on the reel having been opened elsewhere, or on somebody's word.
      const bearers = said ? [said.act] : acts.off.map((one) => one.act);
      return { id, name, became: "left-shut", why: null, onPurpose: said !== undefined, off: [], acts: bearers };
    }
    const strips = own.filter((seat) => !seat.stays);
    const whole = strips.length > 0 && strips.every((seat) => off.has(seat.id));
    const reasons = new Set(came.flatMap(({ positionId }) => emptied.get(positionId) ?? []));
    return {
      id,
      name,
      became: came.every(({ cameApart }) => cameApart) ? "came-apart" : whole ? "taken-apart" : "part-way",
      // One seat's reason is the assembly's only where it is the only one.
      why: opened.has(id) ? opened.get(id)!.why : reasons.size === 1 ? [...reasons][0]! : null,
      onPurpose: false,
      off: own.flatMap((seat) => (off.has(seat.id) && !wasMissing(off.get(seat.id)!) ? [seat.name] : [])),
      acts: [...(opened.has(id) ? [opened.get(id)!.act] : []), ...came.map((one) => one.act)],
    };
  });
}

/** Its place was empty when it was opened: it came off by nobody's hand. */
const wasMissing = ({ verdict, found }: JobActs["off"][number]): boolean => verdict === "missing" && found === 0;

function piecesOf(acts: JobActs): PieceAccount[] {
  const off = new Map(acts.off.map((one) => [one.positionId, one]));
  const inPlace = new Map(acts.inPlace.map((one) => [one.positionId, one]));
  const fitted = new Map(acts.fitted.map((one) => [one.positionId, one]));
  return acts.seats.flatMap(({ id, name, assemblyId, hole }): PieceAccount[] => {
    const seat = { positionId: id, name, assemblyId };
    const [came, stayed, by] = [off.get(id), inPlace.get(id), fitted.get(id)];
    const none = { verdict: null, cleaned: null, dressed: "", remark: "", declined: false, found: 1, wrongHole: null };
    if (!came)
      return [
        ...(by ? [{ ...seat, ...none, became: "replaced", by: by.what, reason: "", acts: [by.act] } as const] : []),
        ...(stayed ? [{ ...seat, ...none, became: "served-in-place", by: "", reason: stayed.reason, acts: [stayed.act] } as const] : []),
      ];
    const became = by
      ? "replaced"
      : wasMissing(came) && !came.back
        ? "not-there"
        : came.leftOut !== null
          ? "left-out"
          : came.back
            ? "back"
            : came.verdict === "missing"
              ? "not-there"
              : "in-the-tray";
    return [
      {
        ...seat,
        became,
        verdict: came.verdict,
        cleaned: came.cleaned,
        dressed: came.verdict === "dressed" && !by ? came.dressed || "dressed by hand" : "",
        by: by?.what ?? "",
        reason: came.leftOut ?? "",
        remark: came.remark,
        declined: came.declined,
        found: came.found,
        wrongHole: came.hole && hole && came.hole !== hole ? { was: came.hole, own: hole } : null,
        acts: [came.act, ...(by ? [by.act] : [])],
      },
    ];
  });
}

function productsOf(acts: JobActs): ProductAccount[] {
  const names = new Map(acts.seats.map(({ id, name }) => [id, name]));
  return [...groupBy(acts.oiled, ({ product }) => product)].map(([product, own]) => ({
    product,
    drops: own.reduce((sum, { drops }) => sum + drops, 0),
    places: own.map(({ positionId, whereItSits }) => ({ positionId, name: names.get(positionId) ?? positionId, whereItSits })),
    acts: own.map((one) => one.act),
  }));
}

function sealsOf(acts: JobActs): SealAccount[] {
  const off = new Map(acts.off.map((one) => [one.positionId, one]));
  const fitted = new Map(acts.fitted.map((one) => [one.positionId, one]));
  const all = acts.off.map((one) => one.act);
  const became = (of: readonly string[]): Pick<SealAccount, "became" | "acts"> => {
    const by = of.flatMap((id) => fitted.get(id) ?? []);
    if (by.length) return { became: "renewed", acts: by.map((one) => one.act) };
    const apart = of.flatMap((id) => off.get(id) ?? []).filter(({ asOne }) => !asOne);
    if (apart.length) return { became: "opened-and-kept", acts: apart.map((one) => one.act) };
    return { became: "unbroken", acts: all };
  };
  // Of a reel that nobody opened nothing is said of its seals.
  if (!all.length) return [];
  const unit = acts.seats.filter(({ sealedUnit }) => sealedUnit).map(({ id }) => id);
  return [
    ...(unit.length ? [{ name: sealedUnitName, unit: true, ...became(unit) }] : []),
    ...acts.seats.flatMap(({ id, name, seal, sealedUnit }) => (seal && !sealedUnit ? [{ name, unit: false, ...became([id]) }] : [])),
  ];
}

/** What the unit that magnetic fluid seals is called. */
const sealedUnitName = "Fluid-sealed clutch";

function testsOf({ tests }: JobActs): TestAccount[] {
  return [...groupBy(tests, ({ id }) => id)].map(([id, own]) => {
    const last = (phase: "before" | "after") => own.findLast((one) => one.phase === phase) ?? null;
    return { id, name: own[0]!.name, before: last("before"), after: last("after") };
  });
}

function faultsOf(acts: JobActs): FaultAccount[] {
  const off = new Map(acts.off.map((one) => [one.positionId, one]));
  const fitted = new Map(acts.fitted.map((one) => [one.positionId, one]));
  const touched = new Map<string, Act>([
    ...acts.oiled.map((one) => [one.positionId, one.act] as const),
    ...acts.inPlace.map((one) => [one.positionId, one.act] as const),
    ...acts.off.map((one) => [one.positionId, one.act] as const),
  ]);
  const names = new Map(acts.seats.map(({ id, name }) => [id, name]));
  return acts.faults.map((fault): FaultAccount => {
    const { id, name, outcome, oldBack, remedy, minutes, renews } = fault;
    const renewed = renews.filter((seat) => fitted.has(seat));
    const said = { id, name, outcome, remedy, minutes, renews: renews.length > 0, renewed: renewed.map((seat) => names.get(seat) ?? seat) };
    if (outcome !== null) return { ...said, became: "left", reason: "", acts: [fault.act] };
    if (acts.kind === "purchase-check") return { ...said, became: "to-put-right", reason: "", acts: [fault.act] };
    if (acts.declined !== null) return { ...said, became: "left", reason: acts.declined, acts: [fault.act] };
    if (oldBack !== null) return { ...said, became: "old-back", reason: oldBack, acts: [fault.act] };
    const bearers = [
      ...renewed.map((seat) => fitted.get(seat)!.act),
      ...fault.worksOn.flatMap((seat) => touched.get(seat) ?? []),
      // Where no seat is known to be its own, the work is borne out by a test made after it.
      ...(fault.worksOn.length ? [] : acts.tests.flatMap((test) => (test.phase === "after" ? [test.act] : []))),
    ];
    // A piece that wants replacing and was not is not put right by having been out.
    const owed = renews.some((seat) => !fitted.has(seat) && wantsNew(off.get(seat)?.verdict ?? "ok"));
    if (fault.saidPutRight) return { ...said, became: "put-right", reason: "", acts: [fault.act, ...bearers] };
    return { ...said, became: bearers.length && !owed ? "put-right" : "open", reason: "", acts: [fault.act, ...bearers] };
  });
}

/** Pieces that went back uncleaned on a job that cleaned others; where nobody cleaned anything nothing is said of it. */
function notCleanedOf({ off, fitted }: JobActs): JobActs["off"] {
  const renewed = new Set(fitted.map(({ positionId }) => positionId));
  if (off.every(({ cleaned }) => cleaned === null)) return [];
  return off.filter(({ positionId, back, asOne, cleaned }) => back && !asOne && cleaned === null && !renewed.has(positionId));
}

/** What became of everything, from the acts alone: what nobody did has no line. */
export function accountOf(acts: JobActs): Account {
  const names = new Map(acts.seats.map(({ id, name }) => [id, name]));
  const nameOf = (positionId: string) => names.get(positionId) ?? positionId;
  return {
    kind: acts.kind,
    declined: acts.declined,
    assemblies: assembliesOf(acts),
    pieces: piecesOf(acts),
    products: productsOf(acts),
    seals: sealsOf(acts),
    tests: testsOf(acts),
    faults: faultsOf(acts),
    asItIs: acts.asItIs,
    notDrawn: acts.notDrawn,
    checks: acts.checks,
    noted: acts.noted,
    wished: acts.wished,
    dry: acts.dry.map(({ positionId, act }) => ({ name: nameOf(positionId), act })),
    unoiled: acts.unoiled.map(({ positionId, why, act }) => ({ name: nameOf(positionId), why, act })),
    cleanedSo: acts.cleanedSo.map(({ positionId, outcome, act }) => ({ name: nameOf(positionId), outcome, act })),
    notCleaned: notCleanedOf(acts).map(({ positionId, act }) => ({ name: nameOf(positionId), act })),
    felt: acts.felt.map(({ positionId, feel, act }) => ({ name: nameOf(positionId), feel, act })),
    notFound: [...acts.ruledOut, ...acts.looks.filter(({ so }) => !so)].map(({ name, act }) => ({ name, act })),
    seen: acts.looks.filter(({ so }) => so).map(({ name, act }) => ({ name, act })),
  };
}
