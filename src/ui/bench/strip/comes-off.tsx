import type { StripKey } from "@/core/hands/strip-now";
import { stuckHelp } from "@/core/hands/stuck";
import { NextAct } from "./next-act";
import type { StripProps } from "./strip-props";
import { StuckPanel } from "./stuck-panel";
import type { Strip } from "./use-strip";

const headings: Readonly<Record<StripKey["what"], string>> = {
  take: "",
  "ask-first": "Nothing comes off before the customer agrees",
  "to-clean": "Everything that needs opening is open",
  "choose-what-to-open": "Nothing chosen to open yet",
  "nothing-to-open": "Nothing to open",
};

/** What comes off next, and what to do where it does not. */
export function ComesOff({ props, strip }: { props: StripProps; strip: Strip }) {
  const { head, partTypes, missing } = props;
  const { act, next, seats, wells, off, aside, key } = strip;
  if (!act || !next)
    return (
      <>
        <h1>{headings[key.what]}</h1>
        {key.what === "choose-what-to-open" && <p>No test or finding yet. Test the reel, choose a service, or open one assembly.</p>}
        {key.what === "nothing-to-open" && (
          <p>No test and no finding asks for a part to come off. Choose a service, or open one assembly.</p>
        )}
      </>
    );
  const doubt =
    missing.words !== null &&
    act.positionIds.some((id) => missing.perhaps.includes(id)) &&
    !wells.some(({ verdict, positionId }) => verdict === "missing" && missing.perhaps.includes(positionId));
  const type = partTypes[next.partTypeId]!;
  const still = new Set([...seats.keys()].filter((id) => !off.has(id)));
  return (
    <>
      {doubt && <p className="border-l-4 border-ink pl-2 font-semibold">{missing.words}</p>}
      <NextAct
        act={act}
        seats={seats}
        partTypes={partTypes}
        ridesOn={props.ridesOn}
        electric={head.electric}
        off={off}
        absent={aside.absent}
        more={aside.more}
        onMore={(more) => strip.change({ more })}
        onAlone={(id) => strip.pick(id, true)}
        lining={{ jobId: head.jobId, closed: head.closed }}
        onAbsent={strip.absentToggled}
      />
      {aside.stuck && (
        <StuckPanel
          key={next.id}
          jobId={head.jobId}
          position={next}
          type={type}
          help={stuckHelp(props.anatomy, next, type, still, "off")}
          serve={(reason) => strip.serveInPlace(next.id, reason)}
          onDone={() => strip.change({ stuck: false })}
          broke={() => strip.broke(next.id)}
        />
      )}
    </>
  );
}
