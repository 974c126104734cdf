"use client";
import { useRouter } from "next/navigation";
import { type ReactNode, useMemo, useState } from "react";
import { type StripState, stripBoard } from "@/core/acts/strip/board";
import type { Assembly, Batch, PartType, Position } from "@/core/anatomy/types";
import { actFrom, nextStripAct, type StripGuide } from "@/core/hands/strip-acts";
import { stuckHelp } from "@/core/hands/stuck";
import { assemblyPlates } from "@/core/schematic/assembly-plate";
import { type OpenedFor, openedForWords } from "@/core/service/depth";
import type { Choice } from "@/core/ways/ways";
import { useBoard } from "@/ui/act/queue-provider";
import { useAct } from "@/ui/act/use-act";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { PictureKey } from "@/ui/bench/picture-key";
import { Key, MainKey, toMainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { Refused } from "@/ui/controls/refused";
import { PlateView } from "@/ui/glyphs/plate";
import { DepthPanel } from "./depth-panel";
import { NextAct } from "./next-act";
import type { AssemblyDepth } from "./opened-words";
import { OpeningPicture } from "./opening-picture";
import { StuckPanel } from "./stuck-panel";
import { TrayWells } from "./tray-wells";
import { WellAside } from "./well-aside";

interface Props {
  readonly head: BenchHead;
  readonly mayStrip: boolean;
  readonly assemblies: Assembly[];
  /** Every seat of the model. */
  readonly positions: Position[];
  /** The machine as it comes apart: what rides on a part is one with it. */
  readonly machine: Position[];
  readonly batches: readonly Batch[];
  readonly partTypes: Readonly<Record<string, PartType>>;
  /** Seats expected off, in order; those that are off among them. */
  readonly expected: readonly string[];
  readonly depth: readonly AssemblyDepth[];
  /** Names of what stays on each part that comes off. */
  readonly rides: Readonly<Record<string, readonly string[]>>;
  readonly laying: Choice<"layingOut">;
  readonly bearings: Choice<"bearings">;
  readonly lastAssemblyId: string | null;
  readonly state: StripState;
  /** What is wanted off for a fault or a new part and stays, because of a part that was left in. */
  readonly wantedHeld: readonly { readonly seat: string; readonly why: OpenedFor; readonly by: string }[];
  /** What the job is done with, said before the first part is off. */
  readonly tools: readonly string[];
  /** What the counter saw was missing: in words, the seats that are empty by it, and those of which one may be. */
  readonly missing: { readonly words: string | null; readonly sure: readonly string[]; readonly perhaps: readonly string[] };
  /** Pieces that are not on the drawing. */
  readonly below?: ReactNode;
}

/**
 * Parts come off into numbered wells, as the hands take them: one press takes what they do as one. It goes on in the assembly that was touched
 * last; another is begun, opened or left shut by a press; a part that differs is taken by itself.
 */
export function TraySheet(props: Props) {
  const { head, mayStrip, assemblies, positions, machine, batches, partTypes, expected, depth, rides, laying, below } = props;
  const router = useRouter();
  const pieces = useAct("came-in-pieces");
  const service = useAct("way");
  const deep = { jobId: head.jobId, scope: "job", way: "depth" } as const;
  const byId = useMemo(() => new Map(positions.map((position) => [position.id, position])), [positions]);
  const apply = useMemo(() => stripBoard(byId), [byId]);
  const { state, press } = useBoard(head.tag, head.revision, props.state, apply);
  const { wells, inPlace } = state;
  const guide = useMemo((): StripGuide => {
    const placed = new Set(inPlace.map(({ positionId }) => positionId));
    const types = new Map(Object.entries(partTypes));
    return { anatomy: { positions: machine, assemblies }, types, batches, expected: expected.filter((id) => !placed.has(id)) };
  }, [machine, assemblies, batches, partTypes, expected, inPlace]);
  const off = useMemo(() => new Set(wells.map(({ positionId }) => positionId)), [wells]);

  const [chosen, setChosen] = useState<string | null>(null);
  const [alone, setAlone] = useState(false);
  const [absent, setAbsent] = useState<ReadonlySet<string>>(() => new Set(props.missing.sure));
  const [more, setMore] = useState(0);
  const [towards, setTowards] = useState<string | null>(null);
  const [filter, setFilter] = useState("");
  const [stuck, setStuck] = useState(false);
  const [openWell, setOpenWell] = useState<string | null>(null);

  const last = wells.at(-1);
  const lastAssemblyId = (last && byId.get(last.positionId)?.assemblyId) ?? props.lastAssemblyId;
  const act = useMemo(() => {
    if (chosen && !off.has(chosen)) return alone ? { positionIds: [chosen], batch: null } : actFrom(guide, chosen, off);
    return nextStripAct(guide, off, { lastAssemblyId, towardsAssemblyId: towards });
  }, [chosen, alone, guide, off, lastAssemblyId, towards]);
  const next = act ? byId.get(act.positionIds[0]!) : undefined;
  const mayTake = act && next && mayStrip && !head.closed;
  const within = (ids: readonly string[], assemblyId: string) => ids.filter((id) => byId.get(id)?.assemblyId === assemblyId).length;
  const shownDepth = depth.map((assembly) => ({
    ...assembly,
    out: within([...off], assembly.id),
    left: within(
      guide.expected.filter((id) => !off.has(id)),
      assembly.id,
    ),
  }));
  // A repair of which nothing was felt, tested or asked for: a person says what is opened.
  const nothingSaid = !act && !wells.length && !head.closed && mayStrip && depth.every(({ open }) => open === null);
  const number = (last?.well ?? 0) + 1;
  const words = act ? (act.batch?.name ?? next?.name ?? "") : "";

  const settle = () => {
    setChosen(null);
    setAlone(false);
    setAbsent(new Set(props.missing.sure));
    setMore(0);
    setStuck(false);
    setFilter("");
    setOpenWell(null);
  };
  const take = () => {
    if (!act) return;
    const gone = act.positionIds.filter((id) => absent.has(id));
    const pressed = press(
      "take-parts",
      {
        jobId: head.jobId,
        positionIds: act.positionIds,
        ...(gone.length ? { absent: gone } : {}),
        ...(more ? { more } : {}),
      },
      `${words} off`,
    );
    if (!pressed) return;
    const taken = new Set(act.positionIds);
    const asked = guide.expected.some((id) => taken.has(id));
    settle();
    // The last of what was to come off: the hands turn to cleaning, and a press that says so carries nothing.
    // A lot is worked across, one station at a time: there its next reel is offered instead.
    if (asked && !head.lot && guide.expected.every((id) => off.has(id) || taken.has(id))) router.push(`/bench/${head.tag}/clean`);
  };
  const lastIds = wells.filter(({ well }) => well === last?.well).map(({ positionId }) => positionId);
  const undo = () => {
    press("put-back", { jobId: head.jobId, positionIds: lastIds }, `Undo of well ${last?.well}`);
    settle();
  };
  const leaveIn = (positionIds: readonly string[], stays: boolean) => {
    const named = positionIds.map((id) => byId.get(id)?.name ?? id).join(", ");
    press("leave-in", { jobId: head.jobId, positionIds: [...positionIds], stays }, `${named} ${stays ? "left in" : "comes off after all"}`);
    settle();
    toMainKey();
  };
  const open = (assembly: AssemblyDepth, opened: boolean | null) =>
    press(
      "open-assembly",
      { jobId: head.jobId, assemblyId: assembly.id, opened },
      `${assembly.name} ${opened === null ? "as the job says" : opened ? "opened" : "left shut"}`,
    );
  const leftIn = inPlace.filter(({ reason }) => reason === "");
  const served = inPlace.filter(({ reason }) => reason !== "");
  const choose = (id: string, only: boolean) => {
    setChosen(id);
    setAlone(only);
    setAbsent(new Set(props.missing.sure));
    setMore(0);
    toMainKey();
  };
  const shown = wells.find((well) => well.positionId === openWell) ?? last;
  const found = filter
    ? positions.filter(({ id, name }) => !off.has(id) && name.toLowerCase().includes(filter.toLowerCase())).slice(0, 20)
    : [];
  const still = new Set(positions.map(({ id }) => id).filter((id) => !off.has(id)));
  return (
    <BenchSheet
      seat={shown?.positionId ?? next?.id ?? null}
      head={head}
      station="strip"
      act={
        <>
          {mayTake ? (
            <MainKey words="Take off next" onPress={take}>
              {words} into well {number}
            </MainKey>
          ) : nothingSaid ? (
            <>
              <NextLink href={`/bench/${head.tag}/test`} words="On to Test" />
              <Key shortcut="f" words="Open everything" busy={service.busy} onPress={() => service.press({ ...deep, choice: "full" })}>
                Full service
              </Key>
              <Key shortcut="q" words="Quick service" busy={service.busy} onPress={() => service.press({ ...deep, choice: "quick" })}>
                Quick service
              </Key>
            </>
          ) : (
            <NextLink href={`/bench/${head.tag}/${mayStrip ? "clean" : "quote"}`} words={mayStrip ? "On to Clean" : "Ask first: Quote"} />
          )}
          {mayTake && (
            <Key shortcut="l" words="Leave it in" onPress={() => leaveIn(act.positionIds, true)}>
              Leave in
            </Key>
          )}
          {mayTake && (
            <Key shortcut="n" words="Stuck" pressed={stuck} onPress={() => setStuck(!stuck)}>
              Stuck
            </Key>
          )}
          {last && !head.closed && <PictureKey head={head} place={{ positionId: last.positionId }} photoHash={null} words="Picture" edge />}
          <Key shortcut="u" words="Undo the last" disabled={!last || head.closed} onPress={undo}>
            Undo
          </Key>
        </>
      }
    >
      <div className="grid gap-6 lg:grid-cols-[320px_1fr_300px]">
        <div className="min-w-0">
          <h2>{act ? "Comes off next" : nothingSaid ? "Nothing chosen to open yet" : "Everything that needs opening is open"}</h2>
          {nothingSaid && <p>No test or finding yet. Test the reel, choose a service, or open one assembly from the list.</p>}
          {act && next && (
            <>
              {props.missing.words &&
                !wells.some(({ verdict, positionId }) => verdict === "missing" && props.missing.perhaps.includes(positionId)) &&
                act.positionIds.some((id) => props.missing.perhaps.includes(id)) && (
                  <p className="mt-2 border-l-4 border-ink pl-2 font-semibold">{props.missing.words}</p>
                )}
              <NextAct
                act={act}
                seats={byId}
                partTypes={partTypes}
                rides={rides}
                electric={head.electric}
                absent={absent}
                more={more}
                onMore={setMore}
                onAlone={(id) => choose(id, true)}
                lining={{ jobId: head.jobId, closed: head.closed }}
                onAbsent={(id) => setAbsent((ids) => toggled(ids, id))}
              />
              {stuck && (
                <StuckPanel
                  key={next.id}
                  jobId={head.jobId}
                  position={next}
                  type={partTypes[next.partTypeId]!}
                  help={stuckHelp({ positions }, next, partTypes[next.partTypeId]!, still, "off")}
                  serve={(reason) => {
                    press("serve-in-place", { jobId: head.jobId, positionId: next.id, reason }, `${next.name} serviced in place`);
                    settle();
                  }}
                  onDone={() => setStuck(false)}
                  broke={() => {
                    press("take-parts", { jobId: head.jobId, positionIds: [next.id], broke: [next.id] }, `${next.name} broke coming off`);
                    settle();
                  }}
                />
              )}
            </>
          )}
          <label className="mt-3 block text-note" htmlFor="other-part">
            Something else came off? Type a few letters
          </label>
          <input id="other-part" value={filter} onChange={(event) => setFilter(event.target.value)} autoComplete="off" />
          <ul className="mt-1 max-h-48 overflow-auto">
            {found.map(({ id, name }) => (
              <li key={id} className="rule-row">
                <button
                  type="button"
                  className="min-h-10 w-full text-left font-semibold text-brass aria-pressed:text-ink"
                  aria-pressed={id === chosen}
                  onClick={() => choose(id, true)}
                >
                  {name}
                </button>
              </li>
            ))}
          </ul>
          {below}
        </div>
        <div className="min-w-0">
          <h2>Tray</h2>
          <DepthPanel
            assemblies={shownDepth}
            towards={towards}
            closed={head.closed}
            unfolded={nothingSaid}
            picture={() => (
              <OpeningPicture
                assemblies={assemblies}
                positions={positions}
                partTypes={partTypes}
                depth={shownDepth}
                expected={new Set(guide.expected.filter((id) => !off.has(id)))}
                leftIn={new Set(inPlace.map(({ positionId }) => positionId))}
                off={off}
                closed={head.closed}
                onOpened={open}
                onLeaveIn={(id, stays) => leaveIn([id], stays)}
                onTake={(id) => choose(id, true)}
              />
            )}
            onTowards={(id) => {
              settle();
              setTowards(towards === id ? null : id);
              toMainKey();
            }}
            onOpened={open}
          />
          {served.length > 0 && (
            <p>Serviced in place: {served.map(({ positionId, reason }) => `${byId.get(positionId)?.name} (${reason})`).join(", ")}.</p>
          )}
          {leftIn.length > 0 && (
            <div className="flex flex-wrap items-center gap-x-3" role="group" aria-label="Left in">
              <span>Left in{head.closed ? "" : "; press a name to take it off after all"}:</span>
              {leftIn.map(({ positionId }) =>
                head.closed ? (
                  <span key={positionId}>{byId.get(positionId)?.name}</span>
                ) : (
                  <button
                    key={positionId}
                    type="button"
                    className="act-link min-h-10"
                    aria-label={`Take off after all: ${byId.get(positionId)?.name}`}
                    onClick={() => leaveIn([positionId], false)}
                  >
                    {byId.get(positionId)?.name}
                  </button>
                ),
              )}
            </div>
          )}
          {props.wantedHeld
            .filter(({ by }) => inPlace.some(({ positionId }) => positionId === by))
            .map(({ seat, why, by }) => (
              <p key={seat} className="border-l-4 border-ink pl-2 font-semibold">
                {byId.get(seat)?.name} must come off {openedForWords[why]}
                {by === seat ? ", and was left in." : `, and cannot: ${byId.get(by)?.name.toLowerCase()} was left in.`}
              </p>
            ))}
          {next && <OnThePlate next={next} {...props} wells={wells} onPick={(id) => expected.includes(id) && choose(id, false)} />}
          {!wells.length && <p>Empty. What comes off first goes in well 1.</p>}
          {!wells.length && props.tools.length > 0 && (
            <p>
              <strong>Tools:</strong> {props.tools.join("; ")}.
            </p>
          )}
          {mayTake && (
            <button type="button" className="act-link min-h-10" disabled={pieces.busy} onClick={() => pieces.press({ jobId: head.jobId })}>
              {wells.length ? "The rest arrived in bits: put it in the tray" : "Arrived in bits: put everything in the tray"}
            </button>
          )}
          <Refused of={[pieces, service]} />
          <TrayWells
            wells={wells}
            positions={byId}
            partTypes={partTypes}
            assemblies={assemblies}
            laying={laying}
            shownId={shown?.positionId ?? null}
            onShow={setOpenWell}
          />
        </div>
        {shown && <WellAside head={head} shown={shown} seats={byId} partTypes={partTypes} bearings={props.bearings} />}
      </div>
    </BenchSheet>
  );
}

function toggled(ids: ReadonlySet<string>, id: string): ReadonlySet<string> {
  const next = new Set(ids);
  if (!next.delete(id)) next.add(id);
  return next;
}

/** The part that comes off next on its plate; drawn only while it is looked at. */
function OnThePlate({
  next,
  assemblies,
  positions,
  partTypes,
  wells,
  onPick,
}: Pick<Props, "assemblies" | "positions" | "partTypes"> & {
  readonly next: Position;
  readonly wells: StripState["wells"];
  readonly onPick: (positionId: string) => void;
}) {
  const [open, setOpen] = useState(false);
  const plate = useMemo(() => {
    if (!open) return null;
    const all = assemblyPlates(
      { assemblies, positions, operations: [], editions: [], gearPairs: [], batches: [] },
      new Map(Object.entries(partTypes)),
      next.assemblyId,
    );
    return all.find(({ callouts }) => callouts.some(({ positionIds }) => positionIds.includes(next.id))) ?? null;
  }, [open, assemblies, positions, partTypes, next]);
  const name = assemblies.find(({ id }) => id === next.assemblyId)?.name ?? "";
  return (
    <details className="mb-2" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="act-link min-h-10">Find it on the plate: {name}</summary>
      {plate && (
        <div className="h-56 border border-ink p-1">
          <PlateView
            plate={plate}
            title={`What comes off, on the plate: ${plate.name}`}
            names={Object.fromEntries(positions.map((position) => [position.id, position.name]))}
            states={Object.fromEntries(wells.map(({ positionId, well }) => [positionId, `in well ${well}`]))}
            pickedPositionId={next.id}
            onPick={onPick}
          />
        </div>
      )}
    </details>
  );
}
