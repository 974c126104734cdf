"use client";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import type { PartType, Position } from "@/core/anatomy/types";
import { cleanMethods, cleanMethodsFor, isBath } from "@/core/cleaning/methods";
import type { CleanPlan } from "@/core/cleaning/plan";
import type { Soak, TrayGroup } from "@/core/cleaning/soak";
import { msPerMinute } from "@/core/day/day";
import type { Well } from "@/core/teardown/well";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import type { CleanOutcome } from "@/core/vocabulary/clean-outcomes";
import { benchWays, type Choice } from "@/core/ways/ways";
import { useAct } from "@/ui/act/use-act";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { WellForm } from "@/ui/bench/strip/well-form";
import { Key, MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { Refused } from "@/ui/controls/refused";
import { BathForm } from "./bath-form";
import { ByHandOverview } from "./by-hand-overview";
import { CleanOutcomeChoice } from "./clean-outcome";
import { CleanRail } from "./clean-rail";
import { GroupBasket } from "./group-basket";

interface Props {
  readonly head: BenchHead;
  readonly modelId: string;
  readonly positions: readonly Position[];
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly wells: readonly Well[];
  readonly groups: readonly TrayGroup[];
  readonly plan: CleanPlan;
  readonly apart: readonly { readonly a: CleanMethod; readonly b: CleanMethod; readonly why: string }[];
  /** Baths that hold parts of this reel, and those that hold only others'. */
  readonly soaks: readonly Soak[];
  readonly othersSoaks: readonly Soak[];
  /** The server's clock when the page was made. */
  readonly nowMs: number;
  /** Where it goes on: Parts where something new is wanted, else Build. */
  readonly next: "parts" | "build";
  /** Seats whose parts still carry what a bath would spoil. */
  readonly carrying: readonly string[];
  /** How dirty the reel is, in what is done about it. */
  readonly bearings: Choice<"bearings">;
  /** How parts came out where they did not simply come clean, by seat. */
  readonly outcomes: Readonly<Record<string, CleanOutcome>>;
  readonly dirt: Choice<"cleaning">;
}

const dirts = (["wipe", "brush", "bath"] as const).map((id) => {
  const [words, what] = benchWays.cleaning.choices[id].split(": ");
  return { id, words, what };
});

const tellBell = () => window.dispatchEvent(new Event("zorbek-bath"));

/** The group the hands turn to next: a bath to be filled, then one that is up, then the plan's next act of the hands, then a bath that runs. */
function nextMethod(groups: readonly TrayGroup[], plan: CleanPlan, soaks: readonly Soak[], now: number): CleanMethod | null {
  const load = plan.acts.find(({ kind }) => kind === "load");
  if (load) return load.method;
  const up = soaks.find(({ dueAt }) => Date.parse(dueAt) <= now);
  if (up) return up.method;
  const hand = plan.acts.find(
    ({ kind, method }) => kind === "hand" && groups.some((group) => group.method === method && group.waiting.length),
  );
  return hand?.method ?? soaks[0]?.method ?? null;
}

/** What the press says was done: an old lining is left alone, not cleaned. */
const byHandWords = (waiting: number, alone: number): string =>
  alone === waiting
    ? `${alone} left alone`
    : alone > 0
      ? `${waiting - alone} cleaned by hand, ${alone} left alone`
      : waiting === 1
        ? "Cleaned by hand"
        : `All ${waiting} cleaned by hand`;

/** The tray by method: what goes into which bath first, what the hands do while it soaks, and everything counted back into its well. */
export function CleanSheet(props: Props) {
  const { head, positions, partTypes, wells, groups, plan, apart, soaks } = props;
  const byId = new Map(positions.map((position) => [position.id, position]));
  const [now, setNow] = useState(props.nowMs);
  useEffect(() => {
    const offset = props.nowMs - Date.now();
    const ticking = setInterval(() => setNow(Date.now() + offset), 1000);
    return () => clearInterval(ticking);
  }, [props.nowMs]);
  const due = nextMethod(groups, plan, soaks, now);
  const [chosen, setChosen] = useState<CleanMethod | null>(null);
  const group = groups.find(({ method }) => method === (chosen ?? due)) ?? groups[0];
  const soak = group && soaks.find(({ method }) => method === group.method);
  const [missing, setMissing] = useState<readonly string[]>([]);
  const [openId, setOpenId] = useState<string | null>(null);
  const [said, setSaid] = useState("");
  const settle = () => {
    setChosen(null);
    setMissing([]);
    tellBell();
  };
  const begin = useAct("soak", settle);
  const count = useAct("count-back", ({ words }) => {
    setSaid(words);
    settle();
  });
  const cancel = useAct("cancel-soak", settle);
  const byHand = useAct("cleaned-by-hand", settle);
  const again = useAct("clean-again", settle);
  const dirty = useAct("way", settle);
  const router = useRouter();
  const next = `/bench/${head.tag}/${props.next}`;
  const allByHand = useAct("all-cleaned-by-hand", () => {
    settle();
    // What soaks still has to be counted back here; else the hands go on.
    if (!soaks.length && !head.lot) router.push(next);
  });
  const cleanAs = useAct("clean-part-as");
  const acts = [begin, count, cancel, byHand, again, dirty, allByHand, cleanAs];
  const lost = missing.filter((id) => group?.soaking.includes(id));
  const shown = wells.find(({ positionId }) => positionId === openId);
  const shownSeat = shown && byId.get(shown.positionId);
  const leftMinutes = soak ? Math.ceil((Date.parse(soak.dueAt) - now) / msPerMinute) : 0;
  const [bath, setBath] = useState({ minutes: "", intoSoakId: null as number | null, mark: "" });
  const minutes = bath.minutes === "" ? (group ? cleanMethods[group.method].soakMinutes : 0) : Number(bath.minutes.replace(",", "."));
  const allClean = groups.length > 0 && groups.every(({ waiting, soaking }) => !waiting.length && !soaking.length);

  const waiting = groups.flatMap((one) => one.waiting);
  const anyClean = groups.some(({ clean }) => clean.length > 0);
  // Nothing goes into a bath: the whole tray is one act of the hands.
  const handsOnly = waiting.length > 0 && groups.every((one) => !one.soaking.length && (!one.waiting.length || !isBath(one.method)));
  const overview = handsOnly && !chosen;
  const typesOf = (ids: readonly string[]) => ids.flatMap((id) => partTypes[byId.get(id)?.partTypeId ?? ""] ?? []);
  const main = () => {
    if (overview && !head.closed)
      return (
        <MainKey
          busy={allByHand.busy || allByHand.stale}
          words="All cleaned by hand"
          onPress={() => allByHand.press({ jobId: head.jobId })}
        >
          {byHandWords(waiting.length, groups.find(({ method }) => method === "leave-dry")?.waiting.length ?? 0)}
        </MainKey>
      );
    if (head.closed || !group || allClean) return <NextLink href={next} words={props.next === "parts" ? "On to Parts" : "On to Build"} />;
    if (group.soaking.length && soak)
      return (
        <MainKey
          busy={count.busy || count.stale}
          words="Count parts back"
          onPress={() => count.press({ jobId: head.jobId, soakId: soak.id, missing: lost })}
        >
          {lost.length
            ? `${group.soaking.length - lost.length} back, ${lost.length} missing`
            : `All ${group.soaking.length} back${leftMinutes > 0 ? `, ${leftMinutes} min early` : ""}`}
        </MainKey>
      );
    const press = { jobId: head.jobId, method: group.method };
    if (group.waiting.length && isBath(group.method))
      return (
        <MainKey
          busy={begin.busy || begin.stale}
          words="Into the bath"
          onPress={() => begin.press({ ...press, minutes, intoSoakId: bath.intoSoakId, mark: bath.mark })}
        >
          {group.waiting.length} into the bath, {minutes} min
        </MainKey>
      );
    if (group.waiting.length)
      return (
        <MainKey busy={byHand.busy || byHand.stale} words="Cleaned by hand" onPress={() => byHand.press(press)}>
          {group.method === "leave-dry" ? `${group.waiting.length} left alone` : `${group.waiting.length} done by hand`}
        </MainKey>
      );
    return (
      <Key className="key-main" busy={again.busy} onPress={() => again.press(press)}>
        Clean these again
      </Key>
    );
  };
  return (
    <BenchSheet
      head={head}
      station="clean"
      act={
        <>
          {main()}
          {waiting.length > 0 && !overview && !head.closed && (
            <Key shortcut="h" words="All cleaned by hand" busy={allByHand.busy} onPress={() => allByHand.press({ jobId: head.jobId })}>
              All by hand
            </Key>
          )}
          {anyClean && !group?.soaking.length && (
            <Key
              shortcut="u"
              words="Undo the cleaning"
              busy={again.busy}
              disabled={head.closed}
              onPress={() => again.press({ jobId: head.jobId, method: chosen })}
            >
              Undo
            </Key>
          )}
          {soak && group?.soaking.length ? (
            <Key
              shortcut="u"
              words="Take out without counting"
              busy={cancel.busy}
              disabled={head.closed}
              onPress={() => cancel.press({ jobId: head.jobId, soakId: soak.id })}
            >
              Undo the bath
            </Key>
          ) : null}
        </>
      }
    >
      <Refused of={acts} beside />
      {said && (
        <p role="status" className="alarm whitespace-pre-line">
          {said}
        </p>
      )}
      {!groups.length && <p>Nothing in the tray to clean. Parts come off at Strip.</p>}
      {groups.length > 0 && (
        <div className="grid gap-6 lg:grid-cols-[300px_1fr_300px]">
          <div>
            <fieldset className="mb-3 flex flex-col">
              <legend className="font-semibold">How dirty is it?</legend>
              {dirts.map(({ id, words, what }) => (
                <button
                  key={id}
                  type="button"
                  className="rule-row min-h-10 text-left text-brass aria-pressed:bg-ink aria-pressed:px-2 aria-pressed:text-sheet"
                  aria-pressed={props.dirt === id}
                  disabled={dirty.busy || head.closed}
                  onClick={() => dirty.press({ jobId: head.jobId, scope: "job", way: "cleaning", choice: id })}
                >
                  <strong>{words}</strong> <span className="text-note">{what}</span>
                </button>
              ))}
            </fieldset>
            <h2>Fastest plan</h2>
            <CleanRail plan={plan} soaks={soaks} nowMs={now} />
            <ul className="mt-2 flex flex-col" aria-label="Groups">
              {groups.map((one) => (
                <li key={one.method} className="rule-row">
                  <button
                    type="button"
                    className="min-h-14 w-full text-left font-semibold text-brass aria-pressed:text-ink"
                    aria-pressed={one.method === group?.method}
                    onClick={() => setChosen(one.method)}
                  >
                    {cleanMethods[one.method].name}
                    <span className="block text-note font-normal text-ink">
                      {[
                        one.waiting.length && `${one.waiting.length} wait`,
                        one.soaking.length && `${one.soaking.length} in the bath`,
                        one.clean.length && `${one.clean.length} clean`,
                      ]
                        .filter(Boolean)
                        .join(", ")}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </div>
          {overview && (
            <ByHandOverview groups={groups} byId={byId} typesOf={typesOf} electric={head.electric} openId={openId} open={setOpenId} />
          )}
          {group && !overview && (
            <GroupBasket
              group={group}
              soak={soak}
              leftMinutes={leftMinutes}
              apart={apart}
              wells={wells}
              byId={byId}
              partTypes={partTypes}
              electric={head.electric}
              missing={missing}
              setMissing={setMissing}
              openId={openId}
              open={setOpenId}
            />
          )}
          <div>
            {group && isBath(group.method) && group.waiting.length > 0 && !group.soaking.length && (
              <BathForm
                method={group.method}
                modelId={props.modelId}
                soaks={[...soaks, ...props.othersSoaks].filter(({ method }) => method === group.method)}
                bath={bath}
                minutes={minutes}
                errors={begin.fields}
                onChange={(change) => setBath((typed) => ({ ...typed, ...change }))}
              />
            )}
            {shown && shownSeat && (
              <label className="mb-3 flex flex-col">
                How {shownSeat.name} is cleaned
                {props.carrying.includes(shownSeat.id) && <span className="text-note">by cloth: what is still in it stands no bath</span>}
                <select
                  value={shown.cleanedHow ?? shown.cleanAs ?? ""}
                  disabled={head.closed || cleanAs.busy || shown.soakId !== null}
                  onChange={(event) =>
                    cleanAs.press({ jobId: head.jobId, positionId: shown.positionId, method: (event.target.value as CleanMethod) || null })
                  }
                >
                  <option value="">same as others of its kind</option>
                  {cleanMethodsFor(partTypes[shownSeat.partTypeId]!, props.carrying.includes(shownSeat.id)).map((method) => (
                    <option key={method} value={method}>
                      {cleanMethods[method].name}
                    </option>
                  ))}
                </select>
              </label>
            )}
            {shown && shownSeat && shown.cleanedHow !== null && (
              <CleanOutcomeChoice
                key={`out ${shown.positionId}`}
                jobId={head.jobId}
                positionId={shown.positionId}
                name={shownSeat.name.toLowerCase()}
                type={partTypes[shownSeat.partTypeId]!}
                outcome={props.outcomes[shown.positionId] ?? null}
                closed={head.closed}
              />
            )}
            {shown && shownSeat ? (
              <WellForm
                key={shown.positionId}
                head={head}
                shown={shown}
                position={shownSeat}
                type={partTypes[shownSeat.partTypeId]!}
                at="clean"
                bearings={props.bearings}
              />
            ) : (
              <p className="mt-2 text-note">Tap a part to see its signs of wear and give your verdict.</p>
            )}
          </div>
        </div>
      )}
    </BenchSheet>
  );
}
