"use client";
import { useMemo } from "react";
import { openedForWords } from "@/core/service/depth";
import { BenchSheet } from "@/ui/bench/bench-sheet";
import { Refused } from "@/ui/controls/refused";
import { ReelDrawing } from "@/ui/glyphs/reel-drawing";
import { ComesOff } from "./comes-off";
import { DepthPanel } from "./depth-panel";
import { OpeningPicture } from "./opening-picture";
import { OtherPart } from "./other-part";
import { StripKeys } from "./strip-keys";
import type { StripProps } from "./strip-props";
import { TrayWells } from "./tray-wells";
import { type Strip, useStrip } from "./use-strip";
import { WellAside } from "./well-aside";

/**
 * Parts come off into numbered wells, as the hands take them: one press takes what they do as one. It goes on in the assembly that was touched
 * last; another is begun, opened or left shut by a press; a part that differs is taken by itself.
 */
export function StripSheet(props: StripProps) {
  const { head, anatomy, partTypes } = props;
  const strip = useStrip(props);
  const { seats, off, next, shown } = strip;
  const seated = useMemo(
    () => new Set(anatomy.positions.map(({ id }) => id).filter((id) => !gone(id, off, props.ridesOn))),
    [anatomy, off, props.ridesOn],
  );
  const about = next ?? seats.get(strip.last?.positionId ?? "");
  return (
    <BenchSheet seat={shown?.positionId ?? next?.id ?? null} head={head} station="strip" act={<StripKeys head={head} strip={strip} />}>
      <div className="grid gap-4 lg:grid-cols-[1fr_300px]">
        <div className="flex min-w-0 flex-col gap-3">
          <ReelDrawing
            anatomy={anatomy}
            partTypes={strip.types}
            seated={seated}
            assemblyId={about?.assemblyId ?? null}
            nextId={next?.id ?? null}
            words="as it is now"
          />
          <div className="grid gap-4 md:grid-cols-2">
            <div className="min-w-0">
              <ComesOff props={props} strip={strip} />
              <Opened props={props} strip={strip} />
              <OtherPart anatomy={anatomy} strip={strip} />
              {props.below}
            </div>
            <div className="min-w-0">
              <Tray props={props} strip={strip} />
            </div>
          </div>
        </div>
        {shown && <WellAside head={head} shown={shown} seats={seats} partTypes={partTypes} bearings={props.bearings} />}
        {!shown && props.tools.length > 0 && (
          <div className="max-lg:order-first">
            <h2>Tools</h2>
            <ul>
              {props.tools.map((tool) => (
                <li key={tool}>{tool}</li>
              ))}
            </ul>
          </div>
        )}
      </div>
    </BenchSheet>
  );
}

/** A part is out where it lies in the tray, and where what carries it does. */
function gone(id: string, off: ReadonlySet<string>, ridesOn: StripProps["ridesOn"]): boolean {
  for (let at: string | undefined = id, steps = 0; at !== undefined && steps < 20; at = ridesOn[at], steps++) if (off.has(at)) return true;
  return false;
}

/** What of the reel is opened, what was left in, and what is wanted and cannot be had. */
function Opened({ props, strip }: { props: StripProps; strip: Strip }) {
  const { head, anatomy, partTypes } = props;
  const { seats, inPlace, off } = strip;
  const nameAt = (id: string) => seats.get(id)?.name ?? id;
  const leftIn = inPlace.filter(({ reason }) => reason === "");
  const served = inPlace.filter(({ reason }) => reason !== "");
  return (
    <>
      <DepthPanel
        assemblies={strip.depth}
        towards={strip.towards}
        closed={head.closed}
        unfolded={(strip.key.what === "choose-what-to-open" || strip.key.what === "nothing-to-open") && !head.closed}
        picture={() => (
          <OpeningPicture
            assemblies={anatomy.assemblies}
            positions={anatomy.positions}
            partTypes={partTypes}
            depth={strip.depth}
            expected={strip.toCome}
            leftIn={new Set(inPlace.map(({ positionId }) => positionId))}
            off={off}
            closed={head.closed}
            onOpened={strip.open}
            onLeaveIn={(id, stays) => strip.leaveIn([id], stays)}
            onTake={(id) => strip.pick(id, true)}
          />
        )}
        onTowards={strip.goTowards}
        onOpened={strip.open}
      />
      {served.length > 0 && (
        <p>Serviced in place: {served.map(({ positionId, reason }) => `${nameAt(positionId)} (${reason})`).join(", ")}.</p>
      )}
      {leftIn.length > 0 && (
        <div className="flex flex-wrap items-center gap-x-3" role="group" aria-label="Left in">
          <span>Left in{head.closed ? "" : "; press a name to take it off after all"}:</span>
          {leftIn.map(({ positionId }) =>
            head.closed ? (
              <span key={positionId}>{nameAt(positionId)}</span>
            ) : (
              <button
                key={positionId}
                type="button"
                className="act-link min-h-10"
                aria-label={`Take off after all: ${nameAt(positionId)}`}
                onClick={() => strip.leaveIn([positionId], false)}
              >
                {nameAt(positionId)}
              </button>
            ),
          )}
        </div>
      )}
      {props.wantedHeld
        .filter(({ by }) => inPlace.some(({ positionId }) => positionId === by))
        .map(({ seat, why, by }) => (
          <p key={seat} className="border-l-4 border-ink pl-2 font-semibold">
            {nameAt(seat)} must come off {openedForWords[why]}
            {by === seat ? ", and was left in." : `, and cannot: ${nameAt(by).toLowerCase()} was left in.`}
          </p>
        ))}
    </>
  );
}

/** The drawn tray, and what arrived in pieces. */
function Tray({ props, strip }: { props: StripProps; strip: Strip }) {
  const { wells, seats, acts } = strip;
  return (
    <>
      <h2>Tray</h2>
      {!wells.length && <p>Empty. What comes off first goes in well 1.</p>}
      <TrayWells
        wells={wells}
        positions={seats}
        partTypes={props.partTypes}
        assemblies={props.anatomy.assemblies}
        laying={props.laying}
        shownId={strip.shown?.positionId ?? null}
        onShow={(openWell) => strip.change({ openWell })}
      />
      {strip.key.what === "take" && !props.head.closed && (
        <button type="button" className="act-link min-h-10" disabled={acts.pieces.busy} onClick={strip.cameInPieces}>
          {wells.length ? "The rest arrived in bits: put it in the tray" : "Arrived in bits: put everything in the tray"}
        </button>
      )}
      <Refused of={[acts.pieces, acts.service]} />
    </>
  );
}
